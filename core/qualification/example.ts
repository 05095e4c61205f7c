import { inches } from '../units'
import { newTest, type TestDocument } from './testDocument'

/** A 3G plate by the structural code, as it is planned: the example that tests start from. */
export const aTest = (studentId: string, testDay = '2026-11-02'): TestDocument => newTest({
  studentId, testDay, pieceName: '3G plate, 3/8 in, backing', seamMm: inches(7), odds: 0.7,
  test: {
    family: 'structural', form: 'plate', weld: 'groove', position: '3G', thicknessMm: inches(3 / 8), outsideMm: null, backing: true, progression: 'up', unit: 'in',
    fillers: [{ classification: 'E7018', depositMm: inches(3 / 8), layers: 4, root: true }],
  },
})
