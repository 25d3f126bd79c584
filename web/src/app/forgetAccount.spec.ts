import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { client } from '@/api/client'
import { run, undoLast } from '@/api/commands'
import { queryClient } from '@/api/queries'
import { useToasts } from '@/api/toasts'
import { forgetAccount } from '@/app/forgetAccount'
import { keepCapture, useCapture } from '@/capture/open'
import { useViewedFile } from '@/files/viewing'
import { openedIn, rememberOpened } from '@/find/pointed'
import { noteDecided, useSitting } from '@/intake/sitting'
import { arrive, useArriving } from '@/takein/arriving'
import { fakeServer } from '@/testing/fakeServer'

it('leaves nothing of one account to the next one at the same page', async () => {
  const server = fakeServer()
  server.answers('POST', '/api/categories/{id}', { commandId: 'c1', label: 'Added', topics: [] })
  server.answers('GET', '/api/commands/last', { last: null })
  await run((header) =>
    client.POST('/api/categories/{id}', { params: { path: { id: 'x' }, header } } as never),
  )
  noteDecided({ commandId: 'c1', label: 'Nothing to do: Tilda' }, 1)
  keepCapture('call the crane firm')
  useCapture().open = true
  await arrive(new File(['title\nmine'], 'mine.csv'))
  rememberOpened('/find?q=pay', { result: 'r1', most: 40 })
  useViewedFile().file = { address: '/x', name: 'pay.pdf', type: '', size: 1, viewable: false }
  queryClient.setQueryData(['session'], { state: 'SIGNED_IN' })
  queryClient.setQueryData(['intake'], { waiting: [] })

  forgetAccount()

  expect(useToasts().list).toEqual([])
  expect(useSitting().decided).toEqual([])
  expect(useCapture().$state).toEqual({ open: false, text: '', note: '' })
  expect(useArriving().waiting).toEqual([])
  expect(openedIn('/find?q=pay')).toBeUndefined()
  expect(useViewedFile().file).toBeUndefined()
  expect(queryClient.getQueryData(['intake'])).toBeUndefined()
  expect(queryClient.getQueryData(['session'])).toBeDefined()
  expect(localStorage.getItem('squallnote.capture')).toBeNull()
  expect(sessionStorage.getItem('squallnote.sitting')).toBe('[]')

  await undoLast()
  await flushPromises()
  expect(server.sentTo('POST', '/api/commands/{commandId}/undo')).toEqual([])
  expect(useToasts().list.map((toast) => toast.text)).toEqual(['There is nothing to take back.'])
  vi.restoreAllMocks()
})
