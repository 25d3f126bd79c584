<script setup lang="ts">
import { ref } from 'vue'
import type { DueView } from '@/api/client'

/** Where a reminder can go instead: somebody of the same house, or another address. */
const { due } = defineProps<{ due: DueView }>()
const emit = defineEmits<{ choose: [address: string]; chat: []; cancel: [] }>()
const typed = ref('')
</script>

<template>
  <form
    data-keys="own"
    data-test="another-way"
    @submit.prevent="typed.includes('@') && emit('choose', typed.trim())"
    @keydown.esc.stop="emit('cancel')"
  >
    <p class="mb-1 font-semibold">The letter goes to</p>
    <div class="flex flex-wrap items-center gap-2">
      <button
        v-for="other in due.others"
        :key="other.address"
        class="btn max-sm:h-11"
        type="button"
        @click="emit('choose', other.address)"
      >
        {{ other.name || other.address }}
      </button>
      <button
        v-if="due.room"
        class="btn max-sm:h-11"
        type="button"
        data-test="by-chat"
        @click="emit('chat')"
      >
        {{ due.name }}, by chat
      </button>
      <label class="flex items-center gap-2"
        >{{ due.others.length ? 'or' : 'Address' }}
        <input
          v-model="typed"
          v-focus
          class="field h-9 w-64"
          type="email"
          aria-label="Another address"
          autocomplete="off"
        />
      </label>
      <button class="btn btn-main max-sm:h-11" :disabled="!typed.includes('@')">Take it</button>
      <button class="btn btn-quiet max-sm:h-11" type="button" @click="emit('cancel')">
        Cancel <span class="key">Esc</span>
      </button>
    </div>
    <p class="text-ink-soft mt-1 text-sm">
      It stays in the thread; you can edit it before it is sent.
    </p>
  </form>
</template>
