import { useState, type FormEvent } from 'react'
import { useForm, type DefaultValues, type FieldValues, type Path, type PathValue } from 'react-hook-form'
import { Refused } from '../api/client'
import { say } from '../words/say'
import '../words/shared'
import { notANumber } from './numbers'
import { typed, useTyped } from './typed'

/**
 * One way for every form outside of a visit: each letter is kept on this machine until it is taken or left, a refusal
 * stands at its field, and what belongs to no field is the form's own fault.
 *
 * @param form which form, such as "label"
 * @param of what it is about: a client, a product; '' when there is only one
 * @param start what stands there before anything is typed
 * @param held fields that are kept as they stood when the typing began, such as the version that it was typed over
 * @param at where its fields lie in what is sent: "/product" for "/product/name"
 */
export function useKeptForm<T extends FieldValues>(
  form: string,
  of: string,
  start: T,
  at = '',
  held: string[] = [],
) {
  const [kept, keep, forget] = useTyped<Partial<T>>(form, of)
  const [fault, setFault] = useState<Error | null>(null)
  const { setValue, getValues, setError, clearErrors, register, reset, handleSubmit, formState } = useForm<T>(
    { defaultValues: { ...start, ...kept } as DefaultValues<T> },
  )
  const now: T = { ...start, ...kept }
  const errorOf = (name: keyof T & string) => formState.errors[name]?.message as string | undefined

  function put(part: Partial<T>) {
    for (const [name, value] of Object.entries(part) as [Path<T>, PathValue<T, Path<T>>][]) {
      setValue(name, value)
      clearErrors(name)
    }
    // of what nobody has typed here the newest stands, though somebody else has changed it meanwhile
    const all = { ...typed<Partial<T>>(form, of), ...part }
    const changed = (Object.entries(all) as [string, unknown][]).filter(
      ([name, value]) => value !== start[name] && !held.includes(name),
    )
    for (const name of held) changed.push([name, all[name] ?? start[name]])
    if (changed.length > held.length) keep(Object.fromEntries(changed) as Partial<T>)
    else forget()
  }

  function text(name: keyof T & string) {
    return {
      value: now[name],
      error: errorOf(name) !== undefined,
      helperText: errorOf(name),
      inputRef: register(name as Path<T>).ref,
      onChange: (e: { target: { value: string } }) => put({ [name]: e.target.value } as Partial<T>),
    }
  }

  /** The same for what is picked from a list. */
  const pick = (name: keyof T & string) => ({ ...text(name), inputRef: undefined })

  function number(name: keyof T & string, needed = false) {
    const sentence = (typed: string) => notANumber(typed, needed)
    const { ref } = register(name as Path<T>, { validate: (typed: string) => sentence(typed) ?? true })
    return {
      typed: now[name] as string,
      wrong: sentence(now[name]),
      refused: errorOf(name),
      inputRef: ref,
      change: (typed: string) => put({ [name]: typed } as Partial<T>),
    }
  }

  function placed(error: Error) {
    const fields = error instanceof Refused ? error.fields : []
    const own = fields.filter((f) => f.pointer.startsWith(`${at}/`))
    for (const { pointer, sentence } of own) {
      const name = pointer.slice(at.length + 1).split('/')[0] as Path<T>
      if (!(name in getValues())) return false
      setError(name, { message: sentence })
    }
    return own.length > 0 && own.length === fields.length
  }

  /** Does something with what stands there; a refusal is told, and what is typed stays. */
  const submit = (act: (typed: T) => Promise<unknown>) => (event?: FormEvent) => {
    setFault(null)
    void handleSubmit(async () => {
      try {
        await act({ ...start, ...typed<Partial<T>>(form, of) })
      } catch (failure) {
        const error = failure instanceof Error ? failure : new Error(say('shared.thisCouldNotBeDone'))
        if (!placed(error)) setFault(error)
      }
    })(event)
  }

  return {
    now,
    /** what differs from what stood there */
    changed: kept ?? {},
    begun: kept !== undefined,
    text,
    pick,
    number,
    put,
    submit,
    errorOf,
    fault,
    busy: formState.isSubmitting,
    /** it was taken, or given up */
    leave: () => {
      forget()
      setFault(null)
      reset(start)
    },
  }
}
