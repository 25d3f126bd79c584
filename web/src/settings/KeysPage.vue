<script setup lang="ts">
import { computed, ref } from 'vue'
import { client } from '@/api/client'
import { run } from '@/api/commands'
import { usePreferences } from '@/api/queries'
import { showProblem } from '@/api/toasts'
import { CHANGEABLE, clashes, pressed, shownChange } from '@/settings/keyChoices'
import { keyId } from '@/ui/keys'

const preferences = usePreferences()
const keys = computed(() => preferences.data.value?.keys ?? {})
const waiting = ref('')

async function save(changed: Record<string, string>): Promise<void> {
  if (!preferences.data.value) {
    return
  }
  const body = { ...preferences.data.value, keys: changed }
  await run((header) => client.PUT('/api/preferences', { params: { header }, body }))
}

function onKey(event: KeyboardEvent, id: string): void {
  if (waiting.value !== id) {
    return
  }
  event.preventDefault()
  event.stopPropagation()
  const key = pressed(event)
  if (event.key === 'Escape') {
    waiting.value = ''
  } else if (key) {
    const clash = clashes(id, key, keys.value)
    waiting.value = ''
    if (clash) {
      showProblem(new Error(`${shownChange(key)} is the key for “${clash}”. Nothing was changed.`))
    } else {
      void save({ ...keys.value, [id]: key })
    }
  }
}

function forget(id: string): void {
  void save(Object.fromEntries(Object.entries(keys.value).filter(([each]) => each !== id)))
}
</script>

<template>
  <h1 class="text-lg font-semibold">Keys</h1>
  <p class="text-ink-soft mb-3">
    Choose a key, then press the one you want. They hold for this account, on every machine.
  </p>
  <div class="grid gap-x-8 gap-y-4 sm:grid-cols-2">
    <section v-for="group in CHANGEABLE" :key="group.title">
      <h2 class="border-line mb-1 border-b font-semibold">{{ group.title }}</h2>
      <div
        v-for="each in group.bindings"
        :key="each.does"
        class="flex min-h-8 items-center gap-2"
        data-test="key-row"
      >
        <span class="min-w-0 flex-1">{{ each.does }}</span>
        <button
          v-if="keys[keyId(group.title, each.does)]"
          class="btn btn-quiet h-7 px-1.5"
          type="button"
          @click="forget(keyId(group.title, each.does))"
        >
          As before
        </button>
        <button
          class="btn h-7 min-w-16 justify-center px-2"
          type="button"
          :aria-label="`Key for ${each.does}`"
          @click="waiting = keyId(group.title, each.does)"
          @blur="waiting = ''"
          @keydown="(event) => onKey(event, keyId(group.title, each.does))"
        >
          {{
            waiting === keyId(group.title, each.does)
              ? 'press a key'
              : shownChange(keys[keyId(group.title, each.does)] ?? each.key)
          }}
        </button>
      </div>
    </section>
  </div>
</template>
