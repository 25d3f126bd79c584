import { describe, expect, it } from 'vitest'
import { newId, onSignedOut, Problem, unwrap } from '@/api/client'

const answer = (status: number, body?: unknown) =>
  Promise.resolve({
    response: new Response(null, { status }),
    ...(status < 400 ? { data: body } : { error: body }),
  })

describe('an answer', () => {
  it('is its data', async () => {
    await expect(unwrap(answer(200, { total: 3 }))).resolves.toEqual({ total: 3 })
  })

  it('that refuses is one kind of error with the server’s sentence', async () => {
    await expect(unwrap(answer(409, { detail: 'Changed elsewhere.' }))).rejects.toThrow(
      'Changed elsewhere.',
    )
    await expect(unwrap(answer(502))).rejects.toThrow('status 502')
  })

  it('that never comes says that nothing is lost', async () => {
    const problem = await unwrap(Promise.reject(new TypeError('network'))).catch(
      (error: unknown) => error,
    )
    expect(problem).toBeInstanceOf(Problem)
    expect((problem as Problem).status).toBe(0)
    expect((problem as Problem).message).toContain('kept')
  })

  it('without a session tells those who listen', async () => {
    let told = 0
    onSignedOut(() => (told += 1))
    await expect(unwrap(answer(401))).rejects.toThrow('signed out')
    expect(told).toBe(1)
  })
})

describe('identifiers', () => {
  it('are version 7 and sort by time', async () => {
    const first = newId()
    await new Promise((resolve) => setTimeout(resolve, 3))
    const second = newId()
    expect(first).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/)
    expect(second > first).toBe(true)
  })
})
