<script setup lang="ts">
import { computed } from 'vue'
import { client, type RuleView } from '@/api/client'
import { run } from '@/api/commands'
import { usePartyRules } from '@/api/queries'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import WaysToAskSection from './WaysToAskSection.vue'

const rules = usePartyRules()
/** Before the pattern of a subject, with # for each number. */
const SUBJECT = 'subject:'
const lines = computed(() => rules.data.value ?? [])

function change(rule: RuleView, changed: Partial<RuleView>): void {
  void run((header) =>
    client.PUT('/api/party-rules', { params: { header }, body: { ...rule, ...changed } }),
  )
}
</script>

<template>
  <h1 class="text-lg font-semibold">Senders and lists</h1>
  <p class="text-ink-soft mb-3">
    What you have said about everything from an address or a mailing list. It holds against what is
    read in a message.
  </p>
  <Loading v-if="rules.isPending.value" />
  <Note v-else-if="rules.isError.value" title="The rules could not be loaded" problem>
    <p>{{ rules.error.value?.message }}</p>
  </Note>
  <p v-else-if="lines.length === 0">
    Nothing yet. In Intake, <span class="key">⇧ W</span> says of the sender of a message that they
    never ask, or always do, <span class="key">⇧ N</span> that all like it goes past Intake; the
    date of a follow-up remembers a number of working days.
  </p>
  <ul v-else class="bg-surface border-line rounded border">
    <li
      v-for="rule in lines"
      :key="rule.party"
      class="border-line flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1 border-b px-3 py-1 last:border-0"
      data-test="party-rule"
    >
      <b class="min-w-0 wrap-anywhere">{{
        rule.party.startsWith(SUBJECT)
          ? `subjects like “${rule.party.slice(SUBJECT.length)}”`
          : rule.party
      }}</b>
      <span v-if="rule.asks" class="flex items-center gap-1"
        >{{ rule.asks === 'NEVER' ? 'never asks me' : 'always asks me' }}
        <button
          class="btn btn-quiet h-7 px-1.5"
          type="button"
          @click="change(rule, { asks: null })"
        >
          Forget
        </button>
      </span>
      <span v-if="rule.pastIntake" class="flex items-center gap-1" data-test="past-intake"
        >goes past Intake
        <button
          class="btn btn-quiet h-7 px-1.5"
          type="button"
          @click="change(rule, { pastIntake: false })"
        >
          Forget
        </button>
      </span>
      <span v-if="rule.replyDays !== null" class="flex items-center gap-1"
        >reply within {{ rule.replyDays }} working {{ rule.replyDays === 1 ? 'day' : 'days' }}
        <button
          class="btn btn-quiet h-7 px-1.5"
          type="button"
          @click="change(rule, { replyDays: null })"
        >
          Forget
        </button>
      </span>
    </li>
  </ul>
  <WaysToAskSection />
</template>
