<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronDown, CircleHelp, Plus, Search } from '@lucide/vue'
import { useRouter } from 'vue-router'
import { client, unwrap, type AccountView } from '@/api/client'
import { queryClient } from '@/api/queries'
import { showProblem, useToasts } from '@/api/toasts'
import { openCapture } from '@/capture/open'
import { useKeyHelp } from '@/app/help'
import Views from '@/app/Views.vue'
import { undoLast } from '@/api/commands'
import KeyHint from '@/ui/KeyHint.vue'
import { EVERYWHERE, KEYS_EVERYWHERE, useKeys } from '@/ui/keys'
import { addressOf, VIEWS } from '@/ui/views'
import { setTheme, useTheme, type Theme } from '@/ui/theme'

const help = useKeyHelp()
const theme = useTheme()

const { narrow } = defineProps<{
  account: AccountView
  /** Whether the ways to the views are elsewhere. */
  narrow: boolean
}>()

const router = useRouter()
const THEMES: { value: Theme; name: string }[] = [
  { value: 'light', name: 'Daylight' },
  { value: 'dark', name: 'Night watch' },
  { value: 'system', name: 'As the system' },
]

useKeys(EVERYWHERE, [
  ...VIEWS.filter((view) => view.key !== undefined).map((view) => ({
    key: view.key ?? '',
    does: view.name,
    run: () => void router.push(addressOf(view)),
  })),
  {
    ...KEYS_EVERYWHERE.capture,
    run: () => {
      openCapture()
    },
  },
  { ...KEYS_EVERYWHERE.undo, run: () => void undoLast() },
  { ...KEYS_EVERYWHERE.help, run: () => (help.open = true) },
])

function toContent(): void {
  document.getElementById('content')?.focus()
}

async function signOut(): Promise<void> {
  try {
    await unwrap(client.DELETE('/api/session'))
    useToasts().$reset()
  } catch (problem) {
    showProblem(problem)
  }
  await queryClient.invalidateQueries({ queryKey: ['session'] })
}
</script>

<template>
  <header class="bg-surface shrink-0">
    <div class="flex h-11 items-center gap-1 px-3 sm:gap-4">
      <a class="skip" href="#content" @click.prevent="toContent">Go to the content</a>
      <span class="text-lg font-bold tracking-tight" aria-hidden="true">Squallnote</span>
      <Views v-if="!narrow" :narrow="false" />
      <span v-else class="flex-1" />
      <RouterLink class="btn px-2 max-sm:size-11 max-sm:justify-center" to="/find" data-test="find">
        <Search :size="16" aria-hidden="true" /> <span class="max-sm:sr-only">Find</span>
        <KeyHint class="max-sm:hidden" group="Everywhere" does="Find" or="/" />
      </RouterLink>
      <button
        class="btn px-2 max-sm:size-11 max-sm:justify-center"
        type="button"
        data-test="capture"
        @click="openCapture()"
      >
        <Plus :size="16" aria-hidden="true" /> <span class="max-sm:sr-only">Capture</span>
        <KeyHint class="max-sm:hidden" group="Everywhere" does="Capture" or="+" />
      </button>
      <button
        class="btn btn-quiet hidden px-2 sm:inline-flex"
        type="button"
        @click="help.open = true"
      >
        <CircleHelp :size="16" aria-hidden="true" /> Keys <span class="key">?</span>
      </button>
      <Menu as="div" class="relative">
        <MenuButton class="btn btn-quiet px-1.5 max-sm:h-11 sm:px-2" data-test="account">
          <span class="max-w-36 truncate">{{ account.name }}</span>
          <ChevronDown :size="14" aria-hidden="true" />
        </MenuButton>
        <MenuItems class="floating absolute right-0 z-50 mt-1 w-52 p-1">
          <MenuItem v-slot="{ active, close }">
            <RouterLink
              to="/people"
              class="flex h-8 w-full items-center rounded px-2 max-sm:h-11"
              :class="active ? 'bg-kelp-wash' : ''"
              data-test="people-link"
              @click="close"
            >
              People
            </RouterLink>
          </MenuItem>
          <MenuItem v-if="narrow" v-slot="{ active, close }">
            <RouterLink
              to="/record"
              class="flex h-8 w-full items-center rounded px-2 max-sm:h-11"
              :class="active ? 'bg-kelp-wash' : ''"
              @click="close"
            >
              Record
            </RouterLink>
          </MenuItem>
          <MenuItem v-slot="{ active, close }">
            <RouterLink
              to="/changes"
              class="flex h-8 w-full items-center rounded px-2 max-sm:h-11"
              :class="active ? 'bg-kelp-wash' : ''"
              data-test="changes-link"
              @click="close"
            >
              What I did today
            </RouterLink>
          </MenuItem>
          <MenuItem v-slot="{ active, close }">
            <RouterLink
              to="/take-in"
              class="border-line mb-1 flex h-8 w-full items-center border-b px-2 max-sm:h-11"
              :class="active ? 'bg-kelp-wash' : ''"
              data-test="take-in-link"
              @click="close"
            >
              Take in from files
            </RouterLink>
          </MenuItem>
          <MenuItem v-slot="{ active, close }">
            <RouterLink
              to="/help"
              class="flex h-8 w-full items-center rounded px-2 max-sm:h-11"
              :class="active ? 'bg-kelp-wash' : ''"
              data-test="help-link"
              @click="close"
            >
              Help
            </RouterLink>
          </MenuItem>
          <MenuItem v-for="each in THEMES" :key="each.value" v-slot="{ active }">
            <button
              type="button"
              class="flex h-8 w-full items-center justify-between rounded px-2 text-left max-sm:h-11"
              :class="active ? 'bg-kelp-wash' : ''"
              @click="setTheme(each.value)"
            >
              {{ each.name }}
              <span v-if="theme.choice === each.value" class="text-ink-soft">in use</span>
            </button>
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <button
              type="button"
              class="border-line mt-1 flex h-8 w-full items-center border-t px-2 text-left max-sm:h-11"
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
