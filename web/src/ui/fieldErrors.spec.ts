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
    expect(errors.any.value).toBe(false)
  })

  it('leave what belongs to no field to others', () => {
    expect(useFieldErrors().take(new Problem(409, 'Changed meanwhile.'))).toBe(false)
    expect(useFieldErrors().take(new Error('odd'))).toBe(false)
  })
})
