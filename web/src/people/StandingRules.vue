<script setup lang="ts">
import { computed } from 'vue'
import { client, type RuleView } from '@/api/client'
import { run } from '@/api/commands'
import { useChaseSettings, usePartyRules } from '@/api/queries'

/** What holds for everything from somebody: whether they ask, by when I reply, when they are reminded. */
const { address } = defineProps<{ address: string }>()

const rules = usePartyRules()
const chasing = useChaseSettings()
const rule = computed<RuleView>(
  () =>
    rules.data.value?.find((each) => each.party === address.toLowerCase()) ?? {
      party: address.toLowerCase(),
      asks: null,
      replyDays: null,
      pastIntake: false,
    },
)
const chase = computed(() =>
  chasing.data.value?.exceptions.find(
    (each) => each.kind === 'PARTY' && each.whom.toLowerCase() === address.toLowerCase(),
  ),
)

function again(): void {
  void rules.refetch()
  void chasing.refetch()
}

function change(changed: Partial<RuleView>): void {
  void run((header) =>
    client.PUT('/api/party-rules', { params: { header }, body: { ...rule.value, ...changed } }),
  )
}

function asksOf(event: Event): RuleView['asks'] {
  const value = (event.target as HTMLSelectElement).value
  return value === '' ? null : (value as RuleView['asks'])
}

function daysOf(event: Event): number | null {
  const value = Number.parseInt((event.target as HTMLInputElement).value, 10)
  return value > 0 ? Math.min(value, 60) : null
}

function remind(days: number | null): void {
  const settings = chasing.data.value
  if (!settings) {
    return
  }
  const others = settings.exceptions.filter((each) => each !== chase.value)
  void run((header) =>
    client.PUT('/api/settings/chasing', {
      params: { header },
      body: {
        ...settings,
        exceptions:
          days === null
            ? others
            : [
                ...others,
                {
                  kind: 'PARTY',
                  whom: address.toLowerCase(),
                  first: days,
                  then: chase.value?.then ?? settings.then,
                  afterPromise: chase.value?.afterPromise ?? settings.afterPromise,
                },
              ],
      },
    }),
  )
}
</script>

<template>
  <!-- Before it is known what holds, nothing could be changed without losing the rest. -->
  <section
    v-if="rules.data.value && chasing.data.value"
    aria-label="What always holds"
    class="print:hidden"
    data-test="standing-rules"
  >
    <h3 class="font-semibold">What always holds</h3>
    <div class="mt-1 flex flex-wrap items-center gap-x-5 gap-y-2">
      <label class="flex items-center gap-2">
        <span>Their messages</span>
        <select
          class="field h-8 w-auto max-sm:h-11"
          :value="rule.asks ?? ''"
          data-test="rule-asks"
          @change="change({ asks: asksOf($event) })"
        >
          <option value="">ask when they say so</option>
          <option value="ALWAYS">always ask me</option>
          <option value="NEVER">never ask me</option>
        </select>
      </label>
      <label class="flex items-center gap-2">
        <span>I reply within</span>
        <input
          class="field h-8 w-16 max-sm:h-11"
          type="number"
          min="1"
          max="60"
          :value="rule.replyDays ?? ''"
          placeholder="–"
          data-test="rule-days"
          @change="change({ replyDays: daysOf($event) })"
        />
        <span>working days</span>
      </label>
      <label class="flex items-center gap-2">
        <span>I remind them after</span>
        <input
          class="field h-8 w-16 max-sm:h-11"
          type="number"
          min="1"
          max="60"
          :value="chase?.first ?? ''"
          :placeholder="String(chasing.data.value?.first ?? '')"
          data-test="rule-chase"
          @change="remind(daysOf($event))"
        />
        <span>working days</span>
      </label>
      <label class="flex items-center gap-2">
        <input
          type="checkbox"
          :checked="rule.pastIntake"
          @change="change({ pastIntake: !rule.pastIntake })"
        />
        nothing of theirs comes to Intake
      </label>
    </div>
  </section>
  <p
    v-else-if="rules.isError.value || chasing.isError.value"
    class="text-rust print:hidden"
    role="alert"
  >
    What always holds could not be loaded.
    <button class="btn h-7" type="button" @click="again">Try again</button>
  </p>
</template>
