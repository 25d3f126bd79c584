<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { computed } from 'vue'
import { useKeyHelp } from '@/app/help'
import { keyFor, keyGroups, keyName } from '@/ui/keys'

const help = useKeyHelp()
const groups = computed(() => (help.open ? keyGroups() : []))
</script>

<template>
  <Dialog v-if="help.open" open class="relative z-50" @close="help.open = false">
    <div class="fixed inset-0 bg-[rgb(10_20_24/0.28)]" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="floating max-h-full w-full max-w-xl overflow-auto p-5">
        <DialogTitle class="text-lg font-semibold">Keys</DialogTitle>
        <p class="text-ink-soft mb-3">They count when you are not typing.</p>
        <div class="grid gap-5 sm:grid-cols-2">
          <section v-for="group in groups" :key="group.title">
            <h3 class="border-line mb-1 border-b font-semibold">{{ group.title }}</h3>
            <dl>
              <div
                v-for="binding in group.bindings"
                :key="binding.key + binding.does"
                class="flex h-7 items-center justify-between"
              >
                <dt>{{ binding.does }}</dt>
                <dd class="key">{{ keyName(keyFor(group.title, binding)) }}</dd>
              </div>
            </dl>
          </section>
        </div>
        <p class="text-ink-soft mt-3">
          <RouterLink class="text-kelp underline" to="/settings/keys" @click="help.open = false"
            >Change keys</RouterLink
          >
          ·
          <RouterLink class="text-kelp underline" to="/help" @click="help.open = false"
            >How things are done</RouterLink
          >
        </p>
        <button class="btn mt-4" type="button" @click="help.open = false">
          Close <span class="key">Esc</span>
        </button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
