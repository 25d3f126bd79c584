<script setup lang="ts">
import { ref } from 'vue'
import { client, type SourceView } from '@/api/client'
import { run } from '@/api/commands'
import { useRooms } from '@/api/queries'

/** The rooms of a chat account, each to be left. */
const { source } = defineProps<{ source: SourceView }>()
const open = ref(false)
const rooms = useRooms(source.id, open)

const leave = (room: string) =>
  run((header) =>
    client.POST('/api/sources/{id}/rooms/leave', {
      params: { path: { id: source.id }, query: { room }, header },
    }),
  )
</script>

<template>
  <details
    class="mt-2"
    data-test="rooms"
    @toggle="open = ($event.target as HTMLDetailsElement).open"
  >
    <summary class="hover:text-kelp text-ink-soft w-max cursor-pointer">Rooms</summary>
    <p v-if="rooms.data.value?.length === 0" class="text-ink-soft mt-1">You are in no room.</p>
    <ul class="mt-1">
      <li
        v-for="room in rooms.data.value"
        :key="room.id"
        class="flex min-h-9 flex-wrap items-center gap-x-3"
      >
        <bdi class="min-w-0 truncate">{{ room.name }}</bdi>
        <span class="text-ink-soft">{{ room.direct ? 'direct' : `${room.people} people` }}</span>
        <button
          class="btn btn-quiet ml-auto h-7"
          type="button"
          :aria-label="`Leave ${room.name}`"
          @click="void leave(room.id)"
        >
          Leave
        </button>
      </li>
    </ul>
    <p class="text-ink-soft mt-1">What was said in a room stays here when you leave it.</p>
  </details>
</template>
