<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronDown, CircleHelp, Plus } from '@lucide/vue'
import { useRouter } from 'vue-router'
import { client, unwrap, type AccountView } from '@/api/client'
import { queryClient, useIntake } from '@/api/queries'
import { showProblem } from '@/api/toasts'
import { openCapture } from '@/capture/open'
import { helpOpen } from '@/app/help'
import { undoLast } from '@/api/commands'
import KeyHint from '@/ui/KeyHint.vue'
import { EVERYWHERE, KEYS_EVERYWHERE, useKeys } from '@/ui/keys'
import { addressOf, VIEWS } from '@/ui/views'
import { setTheme, theme, type Theme } from '@/ui/theme'

defineProps<{ account: AccountView }>()

const router = useRouter()
const intake = useIntake()
const inBar = VIEWS.filter((view) => view.inBar).map((view) => ({ ...view, to: addressOf(view) }))
const THEMES: { value: Theme; name: string }[] = [
  { value: 'light', name: 'Daylight' },
  { value: 'dark', name: 'Night watch' },
  { value: 'system', name: 'As the system' },
]

useKeys(EVERYWHERE, [
  ...inBar
    .filter((view) => view.key !== undefined)
    .map((view) => ({
      key: view.key ?? '',
      does: view.name,
      run: () => void router.push(view.to),
    })),
  {
    ...KEYS_EVERYWHERE.capture,
    run: () => {
      openCapture()
    },
  },
  { ...KEYS_EVERYWHERE.undo, run: () => void undoLast() },
  { ...KEYS_EVERYWHERE.help, run: () => (helpOpen.value = true) },
])

async function signOut(): Promise<void> {
  try {
    await unwrap(client.DELETE('/api/session'))
  } catch (problem) {
    showProblem(problem)
  }
  await queryClient.invalidateQueries({ queryKey: ['session'] })
}
</script>

<template>
  <header class="bg-surface shrink-0">
    <div class="flex h-11 items-center gap-1 px-3 sm:gap-4">
      <span class="hidden text-lg font-bold tracking-tight sm:inline" aria-hidden="true"
        >Squallnote</span
      >
      <nav class="flex h-full min-w-0 flex-1 gap-1" aria-label="Views">
        <RouterLink
          v-for="view in inBar"
          :key="view.to"
          :to="view.to"
          class="flex h-full items-center gap-1.5 border-b-2 px-1.5 sm:px-2.5"
          :class="
            $route.path.startsWith(view.to)
              ? 'border-kelp text-kelp font-semibold'
              : 'hover:text-kelp border-transparent'
          "
          :aria-current="$route.path.startsWith(view.to) ? 'page' : undefined"
        >
          {{ view.name }}
          <span
            v-if="view.to === '/intake' && intake.data.value && intake.data.value.total > 0"
            class="bg-kelp-wash text-kelp rounded px-1 text-xs font-semibold"
            >{{ intake.data.value.total }}<span class="sr-only"> undecided messages</span></span
          >
        </RouterLink>
      </nav>
      <button class="btn px-2" type="button" data-test="capture" @click="openCapture()">
        <Plus :size="16" aria-hidden="true" /> <span class="max-sm:sr-only">Capture</span>
        <KeyHint class="max-sm:hidden" group="Everywhere" does="Capture" or="+" />
      </button>
      <button
        class="btn btn-quiet hidden px-2 sm:inline-flex"
        type="button"
        @click="helpOpen = true"
      >
        <CircleHelp :size="16" aria-hidden="true" /> Keys <span class="key">?</span>
      </button>
      <Menu as="div" class="relative">
        <MenuButton class="btn btn-quiet px-1.5 sm:px-2" data-test="account">
          <span class="hidden sm:inline">{{ account.name }}</span>
          <span class="sm:hidden" aria-label="Account">{{ account.name.slice(0, 1) }}</span>
          <ChevronDown :size="14" aria-hidden="true" />
        </MenuButton>
        <MenuItems class="floating absolute right-0 z-50 mt-1 w-52 p-1">
          <MenuItem v-for="each in THEMES" :key="each.value" v-slot="{ active }">
            <button
              type="button"
              class="flex h-8 w-full items-center justify-between rounded px-2 text-left"
              :class="active ? 'bg-kelp-wash' : ''"
              @click="setTheme(each.value)"
            >
              {{ each.name }} <span v-if="theme === each.value" class="text-ink-soft">in use</span>
            </button>
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <button
              type="button"
              class="border-line mt-1 flex h-8 w-full items-center border-t px-2 text-left"
              :class="active ? 'bg-kelp-wash' : ''"
              data-test="sign-out"
              @click="void signOut()"
            >
              Sign out
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
    <div class="neatline" aria-hidden="true" />
  </header>
</template>
