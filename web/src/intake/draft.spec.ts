import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { client } from '@/api/client'
import { draftSaver, EMPTY_DRAFT, forgetLocally, keepLocally, localDraft } from '@/intake/draft'

const saying = (text: string) => ({ ...EMPTY_DRAFT, text })

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
    saver.save(saying('Dear'))
    saver.save({ ...saying('Dear Tilda'), cc: 'bo@merrowquay.example' })
    expect(localDraft('m1')?.text).toBe('Dear Tilda')
    expect(put).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(600)
    expect(put).toHaveBeenCalledTimes(1)
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { cc: 'bo@merrowquay.example' } })
    expect(localDraft('m1')).toBeUndefined()
  })

  it('stays here while the application is gone', async () => {
    put.mockRejectedValue(new TypeError('network'))
    draftSaver('m1').save(saying('Dear Tilda'))
    await vi.advanceTimersByTimeAsync(600)
    expect(localDraft('m1')).toEqual(saying('Dear Tilda'))
  })

  it('stays here while only whom it goes to is typed, until it is sent', async () => {
    put.mockResolvedValue({ data: undefined, response: new Response(null, { status: 204 }) })
    const addressed = { ...EMPTY_DRAFT, cc: 'bo@merrowquay.example', toAll: true }
    draftSaver('m1').save(addressed)
    await vi.advanceTimersByTimeAsync(600)
    expect(localDraft('m1')).toEqual(addressed)
    forgetLocally('m1')
    expect(localDraft('m1')).toBeUndefined()
  })

  it('is read back even when it was not written by this version', () => {
    localStorage.setItem('squallnote.draft.m1', 'Dear Tilda')
    expect(localDraft('m1')).toEqual(saying('Dear Tilda'))
  })

  it('is gone once it is empty', () => {
    keepLocally('m1', saying('x'))
    keepLocally('m1', EMPTY_DRAFT)
    expect(localDraft('m1')).toBeUndefined()
  })
})
