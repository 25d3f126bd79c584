<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { reactive, ref, watch } from 'vue'
import { client, unwrap, type WorkingTimeForm } from '@/api/client'
import { run } from '@/api/commands'
import { spansOf, withoutSpan, withSpan, type Span } from '@/settings/daysOff'
import { names, toggled, WEEKDAYS } from '@/settings/workingTime'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import TimeField from '@/ui/TimeField.vue'
import DayChooser from '@/ui/DayChooser.vue'
import { day as dayText } from '@/ui/time'

const settings = useQuery({
  queryKey: ['working-time'],
  queryFn: () => unwrap(client.GET('/api/settings/working-time')),
})
const form = reactive<WorkingTimeForm>({
  nicknames: [],
  monthFirst: false,
  week: [],
  region: '',
  daysOff: [],
  replyDays: 2,
  marginPercent: 20,
  minutesAround: 0,
})
const nicknames = ref('')
const busy = ref(false)
watch(
  () => settings.data.value,
  (now) => {
    if (now) {
      Object.assign(form, {
        ...now.form,
        week: now.form.week.map((each) => ({ ...each })),
      })
      nicknames.value = now.form.nicknames.join(', ')
    }
  },
  { immediate: true },
)

function hours(day: string) {
  return form.week.find((each) => each.day === day)
}

/** The day that was added last: the first of several, when another one is named as their end. */
const first = ref<string>()

function addDayOff(isoDay: string): void {
  form.daysOff = withSpan(form.daysOff, isoDay, isoDay)
  first.value = isoDay
}

function addUntil(isoDay: string): void {
  if (first.value) {
    form.daysOff = withSpan(form.daysOff, first.value, isoDay)
    first.value = undefined
  }
}

function spanText(span: Span): string {
  return span.from === span.to ? dayText(span.from) : `${dayText(span.from)} – ${dayText(span.to)}`
}

async function save(): Promise<void> {
  busy.value = true
  const body = { ...form, nicknames: names(nicknames.value) }
  await run((header) => client.PUT('/api/settings/working-time', { params: { header }, body }))
  busy.value = false
}
</script>

<template>
  <h1 class="text-lg font-semibold">Working time</h1>
  <p class="text-ink-soft mb-3">
    Reply-by dates, “end of the week”, “within five working days” and how long somebody has waited
    all follow from it.
  </p>
  <Loading v-if="settings.isPending.value" />
  <Note v-else-if="settings.isError.value" title="Your working time could not be loaded" problem>
    <p>{{ settings.error.value?.message }}</p>
  </Note>
  <form v-else class="max-w-2xl space-y-4" data-test="working-time" @submit.prevent="void save()">
    <fieldset>
      <legend class="font-semibold">Week</legend>
      <div
        v-for="each in WEEKDAYS"
        :key="each.day"
        class="flex min-h-9 flex-wrap items-center gap-x-3"
        :data-day="each.day"
      >
        <label class="flex h-8 w-32 items-center gap-2">
          <input
            type="checkbox"
            :checked="hours(each.day) !== undefined"
            @change="form.week = toggled(form.week, each.day)"
          />
          {{ each.name }}
        </label>
        <template v-for="one in form.week" :key="one.day">
          <span v-if="one.day === each.day" class="flex items-center gap-2 pb-1 sm:pb-0">
            <TimeField v-model="one.from" :label="`${each.name} from`" />
            to
            <TimeField v-model="one.to" :label="`${each.name} to`" />
          </span>
        </template>
        <span v-if="!hours(each.day)" class="text-ink-soft">off</span>
      </div>
    </fieldset>
    <div class="grid gap-4 sm:grid-cols-2">
      <label
        >Public holidays of
        <select v-model="form.region" class="field" name="region">
          <option value="">no region</option>
          <option
            v-for="region in settings.data.value?.regions ?? []"
            :key="region.code"
            :value="region.code"
          >
            {{ region.name }}
          </option>
        </select>
        <span v-if="settings.data.value?.holidays.length" class="text-ink-soft text-sm">
          Next:
          {{
            settings.data.value.holidays
              .slice(0, 3)
              .map((holiday) => `${dayText(holiday.day)} ${holiday.name}`)
              .join(', ')
          }}
        </span>
      </label>
      <label
        >Reply within, where a message names no date
        <span class="flex items-center gap-2"
          ><input
            v-model.number="form.replyDays"
            class="field w-20"
            type="number"
            min="0"
            max="90"
            name="reply-days"
            required
          />
          working days</span
        >
      </label>
      <label
        >Of each day, kept for the unforeseen
        <span class="flex items-center gap-2"
          ><input
            v-model.number="form.marginPercent"
            class="field w-20"
            type="number"
            min="0"
            max="90"
            name="margin"
            required
          />
          per cent</span
        >
      </label>
      <label
        >Before and after a meeting that has a place
        <span class="flex items-center gap-2"
          ><input
            v-model.number="form.minutesAround"
            class="field w-20"
            type="number"
            min="0"
            max="240"
            name="around"
            required
          />
          minutes to get there or ready</span
        >
      </label>
      <label
        >Other names people use for you
        <input
          v-model="nicknames"
          class="field"
          name="nicknames"
          placeholder="Tom, Tommy"
          maxlength="400"
        />
        <span class="text-ink-soft text-sm">“Tom, could you …” then asks you.</span>
      </label>
      <label
        >3/4 means
        <select v-model="form.monthFirst" class="field" name="date-order">
          <option :value="false">3 April</option>
          <option :value="true">March 4</option>
        </select>
      </label>
    </div>
    <fieldset>
      <legend class="font-semibold">Your days off</legend>
      <div class="flex flex-wrap items-center gap-2">
        <span v-for="off in spansOf(form.daysOff)" :key="off.from" class="part" data-test="day-off"
          >{{ spanText(off) }}
          <button
            type="button"
            class="hover:text-kelp min-w-6"
            :aria-label="`Work on ${spanText(off)}`"
            @click="form.daysOff = withoutSpan(form.daysOff, off)"
          >
            ×
          </button>
        </span>
      </div>
      <div class="mt-2 flex flex-wrap items-start gap-2">
        <DayChooser
          class="w-64"
          unfocused
          label="A day off, or the first of several"
          @choose="addDayOff"
        />
        <DayChooser
          v-if="first"
          :key="first"
          class="w-64"
          unfocused
          :label="`Off from ${dayText(first)} until`"
          data-test="days-off-until"
          @choose="addUntil"
        />
      </div>
    </fieldset>
    <p><button class="btn btn-main" type="submit" :disabled="busy">Save</button></p>
  </form>
</template>
