import { expect, it } from 'vitest'
import { ref } from 'vue'
import { usePointed } from '@/ui/usePointed'

it('points from row to row, stops at the ends and at nothing where there is none', () => {
  const rows = ref(['a', 'b', 'c'])
  const { current, place, pointed, step } = usePointed(
    () => rows.value,
    (row) => row,
  )
  expect(pointed.value).toBeUndefined()
  step(1)
  expect(current.value).toBe('a')
  step(5)
  expect(pointed.value).toBe('c')
  step(-1)
  expect(place.value).toBe(1)
  rows.value = ['c']
  expect(pointed.value).toBeUndefined()
  rows.value = []
  step(1)
  expect(current.value).toBe('b')
})
