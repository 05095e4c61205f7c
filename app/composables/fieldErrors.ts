import { ValidationError, type Schema } from 'yup'
import { messageOf } from '~/stores/request'
import { RequestFailure } from '~/sync/requestFailure'

/** The state of a form that is sent to the server: what is wrong, field by field, and whether it is on its way. */
export function useFieldErrors() {
  const errors = ref<Record<string, string>>({})
  const message = ref('')
  const busy = ref(false)

  /**
   * Checks a value against its schema, then does the work; puts what is wrong at its field. True when it went
   * through.
   */
  async function attempt(work: () => Promise<void>, check?: { schema: Schema; value: unknown }): Promise<boolean> {
    errors.value = {}
    message.value = ''
    busy.value = true
    try {
      await check?.schema.validate(check.value, { abortEarly: false })
      await work()
      return true
    } catch (error) {
      if (error instanceof ValidationError)
        errors.value = Object.fromEntries(error.inner.map(one => [one.path ?? '', spoken(one.message)]).reverse())
      else if (error instanceof RequestFailure)
        errors.value = Object.fromEntries(error.fields.map(one => [one.path, spoken(one.message)]).reverse())
      if (Object.keys(errors.value).length === 0) message.value = messageOf(error)
      return false
    } finally {
      busy.value = false
    }
  }

  return { errors, message, busy, attempt }
}

/** `termFrom is missing` as a person reads it: `This is missing`. */
function spoken(text: string): string {
  return text.replace(/^[a-z][\w.[\]]* (?=(?:is|lies|holds) )/, 'This ')
}
