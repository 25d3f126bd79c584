<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { TimeWishes } from '@/api/client'
import { useCategories } from '@/api/queries'
import { saveTimeWishes } from '@/record/time/changes'
import { useTimeWishes } from '@/record/time/query'
import CategoryMark from '@/ui/CategoryMark.vue'
import Floating from '@/ui/Floating.vue'

/** How time is rounded, and what an hour of each category costs. */
const STEPS = [1, 5, 6, 10, 15, 30, 60]

const wishes = useTimeWishes()
const categories = useCategories()
const minutes = ref(1)
const up = ref(false)
const byDay = ref(false)
const currency = ref('')
const rates = ref<Record<string, string>>({})
const wrong = ref('')

watch(
  () => wishes.data.value,
  (now) => {
    if (now) {
      minutes.value = now.minutes
      up.value = now.up
      byDay.value = now.byDay
      currency.value = now.currency
      rates.value = Object.fromEntries(
        now.rates.map((rate) => [rate.category ?? '', String(rate.perHour)]),
      )
    }
  },
  { immediate: true },
)
const rows = computed(() => [
  ...(categories.data.value ?? []).map((category) => ({
    id: category.id,
    name: category.name,
    category,
  })),
  { id: '', name: 'Without a category', category: undefined },
])

async function save(close: () => void): Promise<void> {
  const chosen: TimeWishes['rates'] = []
  for (const row of rows.value) {
    const typed = (rates.value[row.id] ?? '').trim().replace(',', '.')
    if (typed !== '') {
      if (!/^\d{1,7}(\.\d{1,2})?$/.test(typed)) {
        wrong.value = `“${typed}” for ${row.name} is no amount. Try “80” or “72.50”. Nothing was saved.`
        return
      }
      chosen.push({ category: row.id === '' ? null : row.id, perHour: Number(typed) })
    }
  }
  wrong.value = ''
  const done = await saveTimeWishes({
    minutes: minutes.value,
    up: up.value,
    byDay: byDay.value,
    currency: currency.value.trim(),
    rates: chosen,
  })
  if (done) {
    close()
  }
}
</script>

<template>
  <Floating test="time-wishes" quiet>
    <template #button>Rounding, rates …</template>
    <template #default="{ close }">
      <form
        class="max-h-[70vh] w-80 space-y-3 overflow-y-auto"
        data-test="time-wishes-form"
        @submit.prevent="void save(close)"
      >
        <fieldset class="space-y-1.5">
          <legend class="font-semibold">Rounding</legend>
          <label class="flex items-center gap-2"
            ><span class="flex-1">to</span>
            <select v-model.number="minutes" class="field h-8 w-40" data-test="time-step">
              <option v-for="step in STEPS" :key="step" :value="step">
                {{ step === 1 ? 'as measured' : `${step} minutes` }}
              </option>
            </select>
          </label>
          <label v-if="minutes > 1" class="flex items-center gap-2"
            ><input v-model="up" type="checkbox" data-test="time-up" /> always up, not to the
            nearest</label
          >
          <label v-if="minutes > 1" class="flex items-center gap-2"
            ><input v-model="byDay" type="checkbox" /> each follow-up once a day, not each
            time</label
          >
        </fieldset>
        <fieldset class="space-y-1.5">
          <legend class="font-semibold">What an hour costs</legend>
          <label class="flex items-center gap-2"
            ><span class="flex-1">Currency</span>
            <input
              v-model="currency"
              class="field h-8 w-24"
              maxlength="8"
              placeholder="EUR"
              autocomplete="off"
            />
          </label>
          <label v-for="row in rows" :key="row.id" class="flex items-center gap-2">
            <span class="flex min-w-0 flex-1 items-center gap-2"
              ><CategoryMark v-if="row.category" :category="row.category" />
              <span class="truncate">{{ row.name }}</span></span
            >
            <input
              :value="rates[row.id] ?? ''"
              class="field h-8 w-24"
              inputmode="decimal"
              placeholder="not billed"
              autocomplete="off"
              :aria-label="`What an hour of ${row.name} costs`"
              @input="rates[row.id] = ($event.target as HTMLInputElement).value"
            />
          </label>
        </fieldset>
        <p v-if="wrong" class="text-rust text-sm" role="alert">{{ wrong }}</p>
        <button class="btn btn-main" type="submit" data-test="time-wishes-save">Save</button>
      </form>
    </template>
  </Floating>
</template>
