<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { client, type ReminderWishes } from '@/api/client'
import { run } from '@/api/commands'
import { useReminderWishes } from '@/api/queries'
import { askPermission, usePermission } from '@/reminders/notify'
import { names } from '@/settings/workingTime'
import { readTime } from '@/ui/clockTime'
import Loading from '@/ui/Loading.vue'
import Note from '@/ui/Note.vue'
import TimeField from '@/ui/TimeField.vue'

const permission = usePermission()

const wishes = useReminderWishes()
const form = reactive<ReminderWishes>({
  minutesBeforeMeetings: 0,
  byMail: false,
  morningMailAt: null,
  sittings: [],
  quietWhileWorking: false,
  fromPeople: [],
  words: [],
})
const morning = ref('')
const sittings = ref('')
const people = ref('')
const words = ref('')
const wrong = ref('')
watch(
  () => wishes.data.value,
  (now) => {
    if (now) {
      Object.assign(form, now)
      morning.value = now.morningMailAt?.slice(0, 5) ?? ''
      sittings.value = now.sittings.map((each) => each.slice(0, 5)).join(', ')
      people.value = now.fromPeople.join(', ')
      words.value = now.words.join(', ')
    }
  },
  { immediate: true },
)

async function save(): Promise<void> {
  const times = names(sittings.value).map(readTime)
  if (times.some((time) => time === undefined)) {
    wrong.value = 'Times such as 9:30, 14:00. Nothing was saved.'
    return
  }
  wrong.value = ''
  const body: ReminderWishes = {
    ...form,
    morningMailAt: morning.value === '' ? null : morning.value,
    sittings: times.filter((time) => time !== undefined),
    fromPeople: names(people.value),
    words: names(words.value),
  }
  await run((header) => client.PUT('/api/settings/reminders', { params: { header }, body }))
}
</script>

<template>
  <h1 class="text-lg font-semibold">Reminders</h1>
  <p class="text-ink-soft mb-4">
    A follow-up reminds you when you ask it to. What falls outside of your working time comes when
    you start again, unless you named the time yourself.
  </p>
  <Loading v-if="wishes.isPending.value" />
  <Note v-else-if="wishes.isError.value" title="Your reminders could not be loaded" problem>
    <p>{{ wishes.error.value?.message }}</p>
  </Note>
  <form v-else class="space-y-5" @submit.prevent="void save()">
    <section>
      <h2 class="mb-1 font-semibold">How</h2>
      <p class="mb-2">
        In every open page<template v-if="permission.given === 'granted'"
          >, and as a notification of this browser.</template
        ><template v-else-if="permission.given === 'denied'"
          >. This browser was told to show no notifications; its own settings change that.</template
        ><template v-else-if="permission.given === 'default'"
          >.
          <button class="btn ml-1" type="button" data-test="allow" @click="void askPermission()">
            Also as a notification of this browser
          </button></template
        ><template v-else>.</template>
      </p>
      <label class="flex items-center gap-2">
        <input v-model="form.byMail" type="checkbox" data-test="by-mail" />
        Also as a mail to myself
      </label>
      <label class="mt-2 flex flex-wrap items-center gap-2">
        Before a meeting
        <select v-model.number="form.minutesBeforeMeetings" class="field w-auto" data-test="before">
          <option :value="0">never</option>
          <option v-for="minutes in [5, 10, 15, 30, 60]" :key="minutes" :value="minutes">
            {{ minutes }} minutes
          </option>
        </select>
      </label>
    </section>
    <section>
      <h2 class="mb-1 font-semibold">The day's plan by mail</h2>
      <p class="text-ink-soft mb-2">On working days, to your own first mailbox.</p>
      <span class="flex items-center gap-2">
        at <TimeField v-model="morning" label="When the day's plan is sent" optional />
        <span class="text-ink-soft">or never</span>
      </span>
    </section>
    <section>
      <h2 class="mb-1 font-semibold">Quiet stretches</h2>
      <p class="text-ink-soft mb-2">
        What comes between two sittings is not counted in the bar before the next one. It is in
        Intake all the same.
      </p>
      <label class="mb-2 block">
        <span class="block">I look at what has come at</span>
        <input
          v-model="sittings"
          class="field mt-1 max-w-md"
          maxlength="100"
          placeholder="9:30, 14:00, 16:30 – or empty for at any time"
          data-test="sittings"
        />
      </label>
      <p v-if="wrong" class="text-rust mb-2" role="alert">{{ wrong }}</p>
      <label class="mb-2 flex items-center gap-2">
        <input v-model="form.quietWhileWorking" type="checkbox" data-test="quiet-working" />
        Also while the clock of a follow-up runs
      </label>
      <label class="mb-2 block">
        <span class="block">But at once from</span>
        <input
          v-model="people"
          class="field mt-1 max-w-md"
          maxlength="5000"
          placeholder="addresses or domains, with commas"
          data-test="from-people"
        />
      </label>
      <label class="block">
        <span class="block">and with the words</span>
        <input
          v-model="words"
          class="field mt-1 max-w-md"
          maxlength="2000"
          placeholder="urgent, crane"
          data-test="through-words"
        />
      </label>
    </section>
    <button class="btn btn-main" type="submit" data-test="save-reminders">Save</button>
  </form>
</template>
