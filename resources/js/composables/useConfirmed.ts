import { ref } from 'vue'
import { http } from './http'
import { tell } from './told'
import { t } from './useText'

/** What waits for a password that is typed once more; null: nothing. */
export const unconfirmed = ref<(() => unknown) | null>(null)

/** Does what gives others access or cannot be taken back: at once where the password was typed lately, else after it is (ConfirmDialog). */
export async function confirmed(act: () => unknown): Promise<void> {
  const answer = await http<{ confirmed: boolean }>('get', '/password')
  if (answer === null) tell(t('kept.not_saved'))
  else if (answer.ok && !answer.body.confirmed) unconfirmed.value = act
  else act()
}
