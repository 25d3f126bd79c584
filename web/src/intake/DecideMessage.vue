<script setup lang="ts">
import type { CategoryView, MessageView, QuickChoice } from '@/api/client'
import AddTo from '@/intake/AddTo.vue'
import Always from '@/intake/Always.vue'
import AnswerForm from '@/intake/AnswerForm.vue'
import DecisionBar from '@/intake/DecisionBar.vue'
import FollowUpSentence from '@/intake/FollowUpSentence.vue'
import HandOver from '@/intake/HandOver.vue'
import PutOff from '@/intake/PutOff.vue'
import RecipePanel from '@/intake/RecipePanel.vue'
import type { DecideMode, useDecisions } from '@/intake/useDecisions'

/** The decisions about the open message, and what the chosen one still has to know. */
const { message, categories, choices, decisions } = defineProps<{
  message: MessageView
  categories: readonly CategoryView[]
  choices: readonly QuickChoice[]
  decisions: ReturnType<typeof useDecisions>
}>()
const emit = defineEmits<{ skip: []; startFollowUp: [] }>()
const mode = defineModel<DecideMode>('mode', { required: true })
</script>

<template>
  <PutOff
    v-if="mode === 'put-off'"
    :choices="choices"
    @until="decisions.putOff"
    @cancel="mode = 'decide'"
  />
  <AddTo
    v-else-if="mode === 'add-to'"
    :key="`add-${message.id}`"
    :message="message"
    @add="decisions.addTo"
    @make="mode = 'follow-up'"
    @cancel="mode = 'decide'"
  />
  <FollowUpSentence
    v-else-if="mode === 'follow-up'"
    :key="message.id"
    :message="message"
    :categories="categories"
    :choices="choices"
    @accept="decisions.followUp"
    @accept-each="decisions.followUpEach"
    @remember="decisions.rememberDays"
    @cancel="mode = 'decide'"
  />
  <AnswerForm
    v-else-if="mode === 'answer'"
    :key="message.id"
    :message="message"
    @send="(content) => void decisions.answer(content)"
    @follow-up="mode = 'follow-up'"
    @cancel="mode = 'decide'"
  />
  <HandOver
    v-else-if="mode === 'hand-over'"
    :key="`hand-${message.id}`"
    :message="message"
    @give="decisions.handOver"
    @cancel="mode = 'decide'"
  />
  <Always
    v-else-if="mode === 'always'"
    :key="`always-${message.id}`"
    :message="message"
    @choose="(subject) => decisions.nothing(true, subject)"
    @cancel="mode = 'decide'"
  />
  <RecipePanel
    v-else-if="mode === 'recipes'"
    :message-id="message.id"
    @run="decisions.runRecipe"
    @cancel="mode = 'decide'"
  />
  <DecisionBar
    v-else
    :message="message"
    @answer="mode = 'answer'"
    @follow-up="emit('startFollowUp')"
    @add-to="mode = 'add-to'"
    @nothing="decisions.nothing()"
    @always="mode = 'always'"
    @skip="emit('skip')"
    @put-off="mode = 'put-off'"
    @hand-over="mode = 'hand-over'"
    @recipes="mode = 'recipes'"
    @back="decisions.backToIntake"
  />
</template>
