<script setup lang="ts">
import { watch } from 'vue'
import type { MessageView } from '@/api/client'
import { GIVEN, isOpen, seen, takeBack, TAKEN } from '@/message/handOver'
import TakerSteps from '@/message/TakerSteps.vue'
import { day } from '@/ui/time'

/** A message that a colleague has handed over to me, with each step to say; of one that I gave away, what became of it. */
const { message, handOver } = defineProps<{
  message: MessageView
  handOver: NonNullable<MessageView['handOver']>
}>()

watch(
  () => message.id,
  () => {
    if (!handOver.mine && handOver.state === 'OFFERED') {
      seen(message.id)
    }
  },
  { immediate: true },
)
</script>

<template>
  <div
    class="bg-dusk-wash mt-2 flex flex-wrap items-center gap-2 rounded px-3 py-1.5"
    data-test="handed-over"
  >
    <span v-if="handOver.mine">
      {{ GIVEN[handOver.state] }} <b>{{ handOver.who }}</b><template v-if="handOver.theirDay">
        for {{ day(handOver.theirDay) }}</template
      ><span
        v-if="handOver.wantedDay && handOver.theirDay && handOver.theirDay > handOver.wantedDay"
        class="text-brass-ink"
        >, later than you want it ({{ day(handOver.wantedDay) }})</span
      ><template v-else-if="handOver.wantedDay">, wanted by {{ day(handOver.wantedDay) }}</template
      ><template v-if="handOver.word">: “{{ handOver.word }}”</template>
    </span>
    <span v-else>
      <template v-if="handOver.state === 'OFFERED' || handOver.state === 'SEEN'"
        ><b>{{ handOver.who }}</b> hands this over to you</template
      ><template v-else
        >From <b>{{ handOver.who }}</b>, {{ TAKEN[handOver.state] }}</template
      ><template v-if="handOver.wantedDay">, wanted by {{ day(handOver.wantedDay) }}</template
      ><template v-if="handOver.theirDay && handOver.theirDay !== handOver.wantedDay"
        >, you said {{ day(handOver.theirDay) }}</template
      ><template v-if="handOver.word">: “{{ handOver.word }}”</template>
    </span>
    <button
      v-if="handOver.mine && isOpen(handOver.state)"
      class="btn h-7 max-sm:h-11"
      type="button"
      data-test="take-back"
      @click="void takeBack(message.id)"
    >
      Take it back
    </button>
    <TakerSteps
      v-if="!handOver.mine && handOver.state !== 'HANDED_ON'"
      :key="message.id"
      :message-id="message.id"
      :state="handOver.state"
      :wanted-day="handOver.wantedDay"
    />
  </div>
</template>
