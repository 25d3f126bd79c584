<script setup lang="ts">
import { ref } from 'vue'

/** A secret that is shown this once, to be copied. */
const { secret, label } = defineProps<{ secret: string; label: string }>()
const emit = defineEmits<{ kept: [] }>()
const copied = ref(false)

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(secret)
    copied.value = true
  } catch {
    // Without the right to the clipboard it is marked and copied by hand.
    copied.value = false
  }
}

function select(event: Event): void {
  ;(event.target as HTMLInputElement).select()
}
</script>

<template>
  <div class="bg-kelp-wash my-2 max-w-2xl rounded px-3 py-2" role="status" data-test="shown-once">
    <p>
      <b>{{ label }}</b> is shown this once. Keep it where the script finds it; if it is lost, make
      another one.
    </p>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <input
        class="field min-w-0 flex-1 font-mono text-sm"
        :value="secret"
        readonly
        :aria-label="label"
        data-test="secret"
        @focus="select"
      />
      <button class="btn max-sm:h-11" type="button" @click="void copy()">
        {{ copied ? 'Copied' : 'Copy' }}
      </button>
      <button class="btn btn-quiet max-sm:h-11" type="button" @click="emit('kept')">
        I have kept it
      </button>
    </div>
  </div>
</template>
