<script setup lang="ts">
import { ref, useTemplateRef, watch } from 'vue'

/** The HTML of a message in a frame that can do nothing; its height follows its content. */
const { messageId } = defineProps<{ messageId: string }>()
const pictures = ref(false)
const remote = ref(0)
const height = ref(120)
const frame = useTemplateRef<HTMLIFrameElement>('frame')

watch(
  () => messageId,
  () => {
    pictures.value = false
    height.value = 120
  },
)

function onLoad(): void {
  const page = frame.value?.contentDocument
  if (!page) {
    return
  }
  remote.value = page.querySelectorAll('img[data-not-loaded]').length
  height.value = Math.min(page.documentElement.scrollHeight + 4, 6000)
}
</script>

<template>
  <div>
    <p
      v-if="remote > 0 && !pictures"
      class="bg-paper mb-2 flex flex-wrap items-center gap-2 rounded px-2 py-1"
    >
      {{ remote === 1 ? 'One picture was' : `${remote} pictures were` }} not loaded from elsewhere,
      so that the sender does not learn that you read this.
      <button class="btn" type="button" data-test="pictures" @click="pictures = true">
        Load pictures
      </button>
    </p>
    <iframe
      ref="frame"
      class="w-full rounded border-0 bg-white"
      :style="{ height: `${height}px` }"
      title="The message as it was written"
      sandbox="allow-same-origin allow-popups allow-popups-to-escape-sandbox"
      referrerpolicy="no-referrer"
      :src="`/api/messages/${messageId}/html${pictures ? '?pictures=true' : ''}`"
      @load="onLoad"
    />
  </div>
</template>
