/** Invented people of the Gannet Quay Trades Hall. */
export const STUDENT_NAMES = [
  'Oriel Tamsin', 'Pavo Lindqvar', 'Isolde Brack', 'Dario Venn', 'Mirela Stroud', 'Caspian Roe', 'Tove Ashgrove', 'Ruben Calloway', 'Noor Haddix', 'Elspeth Quill', 'Jonas Merrow', 'Ysolt Farrant',
  'Bram Okonjo', 'Linnea Sorrel', 'Teodor Vance', 'Amaya Thistle', 'Gideon Marsh', 'Petra Holloway', 'Silas Drum', 'Wren Abelard', 'Kofi Larkspur', 'Dagny Orrin', 'Matteo Sedge', 'Freya Pell',
  'Hollis Vantar', 'Zuri Camber', 'Anselm Fyfe', 'Rosalind Teague', 'Ivo Harrow', 'Marit Delacour', 'Ezra Winslade', 'Saskia Thorne', 'Lorcan Birch', 'Nadia Ferrol', 'Otto Wexley', 'Beatrix Lune',
] as const
