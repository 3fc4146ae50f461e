import { http } from './http'
import { t } from './useText'

type Outcome = { ok: true } | { ok: false; text: string }

const ANSWER_MS = 30_000
/** The person closed the question of their device, or let it run out. */
const LEFT = 'NotAllowedError'

/** What went wrong in the server's words, else in our own. */
function problem(answer: { errors: Record<string, string> } | null): Outcome {
  return { ok: false, text: answer ? (Object.values(answer.errors)[0] ?? t('kept.failed')) : t('kept.not_saved') }
}

/** Asks the server, then the device, then hands over what the device says. */
async function exchange<T>(ask: string, answer: string, device: (question: T) => Promise<object>): Promise<Outcome> {
  const question = await http<T & object>('post', ask, {})
  if (!question?.ok) return problem(question)
  let said: object
  try {
    said = await device(question.body)
  } catch (e) {
    return { ok: false, text: t((e as Error).name === LEFT ? 'passkeys.left' : 'passkeys.device') }
  }
  const taken = await http('post', answer, { answer: said }, { timeoutMs: ANSWER_MS })
  return taken?.ok ? { ok: true } : problem(taken)
}

export const mayHavePasskeys = (): boolean => 'PublicKeyCredential' in window

export const addPasskey = async (): Promise<Outcome> => {
  const { startRegistration } = await import('@simplewebauthn/browser')
  return exchange('/passkeys/new', '/passkeys', (optionsJSON: Parameters<typeof startRegistration>[0]['optionsJSON']) =>
    startRegistration({ optionsJSON }),
  )
}

export const signInByPasskey = async (): Promise<Outcome> => {
  const { startAuthentication } = await import('@simplewebauthn/browser')
  return exchange('/passkeys/ask', '/passkeys/sign-in', (optionsJSON: Parameters<typeof startAuthentication>[0]['optionsJSON']) =>
    startAuthentication({ optionsJSON }),
  )
}
