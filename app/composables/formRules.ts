import type { FormInstance, FormItemRule, FormRules } from 'element-plus'
import type { Ref } from 'vue'
import type { z } from 'zod'

/** How a field of a form becomes what its contract holds, and what is said where it cannot. */
export interface FormField {
  /** What stands against it, what is safe and what to do; said under the field. */
  readonly says: string | (() => string)
  /** What was typed, as the contract holds it; as it stands otherwise. */
  readonly read?: (typed: string) => unknown
}

/**
 * Rules of a form by the contract it is sent by: each field is held against its own part of the schema, when it is left
 * and when the form is sent.
 *
 * @param schema contract of what is sent; its fields are named as those of the form
 * @param fields those that are typed
 * @returns rules for an Element Plus form
 */
export function formRules<S extends z.ZodRawShape>(
  schema: z.ZodObject<S>,
  fields: { readonly [K in keyof S & string]?: FormField },
): FormRules {
  const rules: Record<string, FormItemRule> = {}
  for (const [name, field] of Object.entries<FormField | undefined>(fields)) {
    const part = fieldOf(schema, name)
    if (!field || !part) continue
    rules[name] = {
      trigger: 'blur',
      validator: (_rule, typed: string, done: (error?: Error) => void) => {
        const held = part.safeParse(field.read ? field.read(typed) : typed)
        done(held.success ? undefined : new Error(typeof field.says === 'string' ? field.says : field.says()))
      },
    }
  }
  return rules
}

/** A field of a contract; its shape says which there are, not what they are. */
function fieldOf(schema: z.ZodObject, name: string): z.ZodType | undefined {
  return schema.shape[name] as z.ZodType | undefined
}

/**
 * Whether values that are kept one at a time are as their contract wants them: by the same limits that the hearth
 * holds.
 *
 * @param schema contract of the thing they belong to
 * @param values as the contract holds them; NaN for what cannot be read
 * @returns true where each can be kept
 */
export function isHeld<S extends z.ZodRawShape>(
  schema: z.ZodObject<S>,
  values: { readonly [K in keyof S & string]?: unknown },
): boolean {
  return Object.entries(values).every(([name, value]) => fieldOf(schema, name)?.safeParse(value).success === true)
}

/**
 * Whether everything in a form is as its contract wants it; what is not is said under its field, and the keyboard is
 * led to the first such field, which so comes into sight.
 *
 * @param form the form
 * @returns true where it can be sent
 */
export async function isRight(form: Readonly<Ref<FormInstance | null>>): Promise<boolean> {
  const held = form.value
  if (!held) return false
  const drawn: unknown = '$el' in held ? held.$el : null
  if (!(drawn instanceof HTMLElement)) return false
  for (const field of drawn.querySelectorAll('[aria-invalid]'))
    for (const what of ['aria-invalid', 'aria-describedby']) field.removeAttribute(what)
  if (await held.validate().then(() => true, () => false)) return true
  await new Promise(done => setTimeout(done, DRAWN_MS))
  const wrong = [...drawn.querySelectorAll('.el-form-item.is-error')].flatMap(
    item => item.querySelector<HTMLElement>('input, textarea') ?? [],
  )
  for (const field of wrong) describe(field)
  wrong[0]?.focus()
  return false
}

/** The package draws what stands against a field this much after it was found, ms. */
const DRAWN_MS = 130
let told = 0

/** Who comes to a field hears what stands against it: the package draws it and says it to nobody. */
function describe(field: HTMLElement): void {
  const says = field.closest('.el-form-item')?.querySelector('.el-form-item__error')
  if (!says) return
  says.id ||= `against-${++told}`
  field.setAttribute('aria-invalid', 'true')
  field.setAttribute('aria-describedby', says.id)
}
