import { readonly, ref, type Ref } from 'vue'
import { Anything, ask, onProofAsked, Refused } from '../clients/api'

/** The passphrase as it is asked for again, before something is taken away for good. */
export interface Proving {
  /** True while it is asked for. */
  readonly asked: Readonly<Ref<boolean>>
  /** Says it; answers with what stands against it, in a sentence, or nothing where it was right. */
  tell(passphrase: string): Promise<string>
  /** Leaves it: what was to be taken away stays. */
  leave(): void
}

/**
 * Asks for the passphrase wherever the hearth wants it once more; what was refused for it is then done by itself.
 *
 * @returns whether it is asked for, and how it is said or left
 */
export function useProving(): Proving {
  const asked = ref(false)
  let answer: (proven: boolean) => void = () => undefined
  const end = (proven: boolean): void => {
    asked.value = false
    answer(proven)
  }
  let asking: Promise<boolean> | null = null
  onProofAsked(() => {
    asked.value = true
    asking ??= new Promise<boolean>((done) => {
      answer = done
    }).finally(() => {
      asking = null
    })
    return asking
  })
  return {
    asked: readonly(asked),
    async tell(passphrase) {
      try {
        await ask('POST', '/house/prove', Anything, { passphrase })
      }
      catch (error) {
        return error instanceof Refused
          ? `${error.problem.title}. ${error.problem.detail}`
          : 'The hearth cannot be reached. Nothing was changed. Try again.'
      }
      end(true)
      return ''
    },
    leave: () => end(false),
  }
}
