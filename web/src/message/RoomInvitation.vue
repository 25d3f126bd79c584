<script setup lang="ts">
import { client, type MessageView } from '@/api/client'
import { run } from '@/api/commands'

/** An invitation into a room, with its two answers. */
const { message } = defineProps<{ message: MessageView }>()

const answer = (accept: boolean) =>
  run((header) =>
    client.POST('/api/messages/{id}/room-invitation', {
      params: { path: { id: message.id }, query: { accept }, header },
    }),
  )
</script>

<template>
  <div
    class="bg-dusk-wash mt-2 flex flex-wrap items-center gap-2 rounded px-3 py-1.5"
    data-test="room-invitation"
  >
    <span>What is said in the room comes to you once you are in it.</span>
    <button
      class="btn btn-main h-7"
      type="button"
      data-test="accept-room"
      @click="void answer(true)"
    >
      Enter the room
    </button>
    <button class="btn h-7" type="button" data-test="decline-room" @click="void answer(false)">
      Decline
    </button>
  </div>
</template>
