import { expect, it } from 'vitest'
import { fileOf, proofOf, wishIn } from '@/record/proof/query'

it('a proof is named by its address and saved under the same', () => {
  const wish = { person: 'a+b@x.example', from: '2026-03-02' }
  expect(proofOf(wish)).toMatchObject({ name: 'record', params: { part: 'proof' }, query: wish })
  expect(wishIn({ ...wish, to: '', other: 'x' })).toEqual(wish)
  expect(fileOf(wish, 'pdf')).toBe('/api/record/proof.pdf?person=a%2Bb%40x.example&from=2026-03-02')
  expect(fileOf({ thread: 't1' }, 'zip')).toBe('/api/threads/t1/proof.zip')
})
