import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { Problem } from '@/api/client'
import FieldError from '@/ui/FieldError.vue'
import { useFieldErrors } from '@/ui/fieldErrors'

describe('errors of fields', () => {
  it('stand at their fields and are gone with the next try', () => {
    const errors = useFieldErrors()
    expect(errors.take(new Problem(422, 'No.', { password: 'is too short' }))).toBe(true)
    const shown = mount(FieldError, { props: { of: errors.fields.value, name: 'password' } })
    expect(shown.text()).toBe('is too short')
    expect(mount(FieldError, { props: { of: errors.fields.value, name: 'zone' } }).text()).toBe('')
    errors.clear()
    expect(errors.fields.value).toEqual({})
  })

  it('leave what belongs to no field to others', () => {
    expect(useFieldErrors().take(new Problem(409, 'Changed meanwhile.'))).toBe(false)
    expect(useFieldErrors().take(new Error('odd'))).toBe(false)
  })

  it('are taken from a form that is sent, which says all else where it is told to', async () => {
    const errors = useFieldErrors()
    const said: unknown[] = []
    const refused = new Problem(422, 'No.', { zone: 'is none' })
    await errors.attempt(() => Promise.reject(refused), said.push.bind(said))
    expect(said).toEqual([])
    expect(errors.fields.value).toEqual({ zone: 'is none' })
    const odd = new Error('odd')
    await errors.attempt(() => Promise.reject(odd), said.push.bind(said))
    expect(said).toEqual([odd])
    const sent = errors.attempt(() => Promise.resolve(7))
    expect(errors.busy.value).toBe(true)
    expect(await sent).toBe(7)
    expect(errors.busy.value).toBe(false)
  })
})
