<script setup lang="ts">
import { client, type KeptSearch } from '@/api/client'
import { run } from '@/api/commands'
import { useKeptSearches } from '@/api/queries'
import RemoveButton from '@/ui/RemoveButton.vue'

/** Searches under a name, each with how many it finds now. */
const emit = defineEmits<{ open: [search: KeptSearch] }>()
const kept = useKeptSearches()

function forget(search: KeptSearch): void {
  void run((header) =>
    client.DELETE('/api/searches/{id}', { params: { path: { id: search.id }, header } }),
  )
}
</script>

<template>
  <section
    aria-label="Kept searches"
    :class="kept.data.value?.length ? '' : 'max-md:hidden'"
    data-test="kept-searches"
  >
    <h2 class="text-ink-soft text-sm font-semibold">Kept searches</h2>
    <p v-if="kept.data.value?.length === 0" class="text-ink-soft mt-1 text-sm">
      None yet. <em>Keep it</em> puts a search here, with how many it finds.
    </p>
    <ul>
      <li
        v-for="search in kept.data.value"
        :key="search.id"
        class="border-line flex items-center border-b"
      >
        <button
          type="button"
          class="hover:bg-kelp-wash flex h-8 min-w-0 flex-1 items-center gap-2 px-1 text-left max-sm:h-11"
          data-test="kept-search"
          @click="emit('open', search)"
        >
          <bdi class="truncate">{{ search.name }}</bdi>
          <span class="text-ink-soft ml-auto">{{ search.count }}</span>
        </button>
        <RemoveButton :label="`Delete ${search.name}`" bin @press="forget(search)" />
      </li>
    </ul>
  </section>
</template>
