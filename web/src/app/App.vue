<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, watch } from 'vue'
import { onSignedOut } from '@/api/client'
import { loadGuide } from '@/api/guide'
import { followChanges, stopFollowing } from '@/api/live'
import { queryClient, useCalendar, usePreferences, useSession } from '@/api/queries'
import { forgetAccount } from '@/app/forgetAccount'
import Bar from '@/app/Bar.vue'
import DropZone from '@/app/DropZone.vue'
import Guide from '@/app/Guide.vue'
import FileViewer from '@/files/FileViewer.vue'
import KeyHelp from '@/app/KeyHelp.vue'
import CaptureLine from '@/capture/CaptureLine.vue'
import Standing from '@/app/Standing.vue'
import ClockAsks from '@/record/time/ClockAsks.vue'
import ReminderShelf from '@/reminders/ReminderShelf.vue'
import Views from '@/app/Views.vue'
import FirstVisit from '@/session/FirstVisit.vue'
import SignIn from '@/session/SignIn.vue'
import { useAccountCalendar } from '@/ui/accountCalendar'
import { setKeys } from '@/ui/keys'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import Toasts from '@/ui/Toasts.vue'

const narrow = useMediaQuery('(max-width: 639px)')
const session = useSession()
const preferences = usePreferences()
const calendar = useCalendar()
watch(
  () => calendar.data.value,
  (view) => {
    if (view) {
      useAccountCalendar().adopt(view, calendar.dataUpdatedAt.value)
    }
  },
  { immediate: true },
)
watch(
  () => preferences.data.value?.keys,
  (keys) => {
    setKeys(keys ?? {})
  },
)
const state = computed(() => session.data.value?.state)

onSignedOut(() => {
  void queryClient.invalidateQueries({ queryKey: ['session'] })
})

/** Whose page this was last, in this browser. */
const LAST = 'squallnote.account'
watch(
  () => session.data.value?.account?.id,
  (account) => {
    if (!account) {
      stopFollowing()
      return
    }
    // Whoever comes back after the session has ended goes on; somebody else begins anew.
    const last = localStorage.getItem(LAST)
    if (last !== null && last !== account) {
      forgetAccount()
    }
    localStorage.setItem(LAST, account)
    followChanges()
    void loadGuide()
  },
  { immediate: true },
)
</script>

<template>
  <div class="flex h-dvh flex-col">
    <template
      v-if="state === 'SIGNED_IN' && session.data.value?.account && !calendar.isPending.value"
    >
      <Bar :account="session.data.value.account" :narrow="narrow" />
      <Guide />
      <Standing />
      <ReminderShelf />
      <ClockAsks />
      <main id="content" class="relative min-h-0 flex-1 outline-none" tabindex="-1">
        <RouterView />
      </main>
      <Views v-if="narrow" narrow />
      <DropZone />
      <FileViewer />
      <KeyHelp />
      <CaptureLine />
    </template>
    <FirstVisit v-else-if="state === 'FIRST_VISIT'" />
    <SignIn v-else-if="state === 'SIGNED_OUT'" />
    <Note v-else-if="session.isError.value" title="The application does not answer" problem>
      <p>Nothing is lost. Check that it is running, then try again.</p>
      <button class="btn" type="button" @click="void session.refetch()">Try again</button>
    </Note>
    <Loading v-else />
    <Toasts />
  </div>
</template>
