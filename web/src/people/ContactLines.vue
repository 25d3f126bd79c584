<script setup lang="ts">
import { Phone } from '@lucide/vue'
import type { PersonView } from '@/api/client'

/** Telephone numbers and the organisation of somebody, each with the letter that says so. */
const { details } = defineProps<{ details: PersonView['details'] }>()

function dialled(number: string): string {
  return `tel:${number.replace(/\(0\)/g, '').replace(/[^\d+]/g, '')}`
}
</script>

<template>
  <div
    v-if="details.organisation || details.phones.length > 0"
    class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1"
    data-test="contact"
  >
    <span v-if="details.organisation"
      ><bdi class="font-semibold">{{ details.organisation }}</bdi>
      <RouterLink
        v-if="details.organisationMessage"
        class="text-ink-soft hover:text-kelp ml-1 text-sm underline print:hidden"
        :to="`/intake/${details.organisationMessage}`"
        >from a letter</RouterLink
      ></span
    >
    <span v-for="phone in details.phones" :key="phone.number" class="flex items-center gap-1">
      <Phone :size="13" class="text-ink-soft" aria-hidden="true" />
      <a class="hover:text-kelp underline max-sm:py-2" :href="dialled(phone.number)">{{
        phone.number
      }}</a>
      <span class="text-ink-soft text-sm">{{ phone.kind }}</span>
      <RouterLink
        v-if="phone.messageId"
        class="text-ink-soft hover:text-kelp text-sm underline print:hidden"
        :to="`/intake/${phone.messageId}`"
        >from a letter</RouterLink
      >
    </span>
  </div>
</template>
