import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { client } from '@/api/client'
import { draftSaver, forgetLocally, keepLocally, localDraft } from '@/intake/draft'

describe('a draft', () => {
  const put = vi.spyOn(client, 'PUT')

  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
    put.mockReset()
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('is kept here with every keystroke and sent with a pause', async () => {
    put.mockResolvedValue({ data: undefined, response: new Response(null, { status: 204 }) })
    const saver = draftSaver('m1')
    saver.save('Dear')
    saver.save('Dear Tilda')
    expect(localDraft('m1')).toBe('Dear Tilda')
    expect(put).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(600)
    expect(put).toHaveBeenCalledTimes(1)
    expect(localDraft('m1')).toBeUndefined()
  })

  it('stays here while the application is gone', async () => {
    put.mockRejectedValue(new TypeError('network'))
    draftSaver('m1').save('Dear Tilda')
    await vi.advanceTimersByTimeAsync(600)
    expect(localDraft('m1')).toBe('Dear Tilda')
  })

  it('keeps whom it is copied to apart from its text, until it is sent', () => {
    keepLocally('m1', 'Dear Tilda')
    keepLocally('m1', 'bo@merrowquay.example', 'cc')
    expect(localDraft('m1')).toBe('Dear Tilda')
    expect(localDraft('m1', 'cc')).toBe('bo@merrowquay.example')
    forgetLocally('m1')
    expect(localDraft('m1')).toBeUndefined()
    expect(localDraft('m1', 'cc')).toBeUndefined()
  })

  it('is gone once it is empty', () => {
    keepLocally('m1', 'x')
    keepLocally('m1', '')
    expect(localDraft('m1')).toBeUndefined()
  })
})
