import { forgetChanges } from '@/api/commands'
import { useGuide } from '@/api/guide'
import { useLive } from '@/api/live'
import { queryClient } from '@/api/queries'
import { useToasts } from '@/api/toasts'
import { useKeyHelp } from '@/app/help'
import { keepCapture, useCapture } from '@/capture/open'
import { useViewedFile } from '@/files/viewing'
import { useOpenedResults } from '@/find/pointed'
import { forgetSitting } from '@/intake/sitting'
import { useArriving } from '@/takein/arriving'
import { useFolder } from '@/takein/mailFolder'

/** Somebody else sits down at this page: nothing of the account before is shown, and nothing of it is taken back. */
export function forgetAccount(): void {
  keepCapture('')
  forgetSitting()
  forgetChanges()
  for (const store of [
    useArriving(),
    useCapture(),
    useFolder(),
    useGuide(),
    useKeyHelp(),
    useLive(),
    useOpenedResults(),
    useToasts(),
    useViewedFile(),
  ]) {
    store.$reset()
  }
  queryClient.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' })
}
