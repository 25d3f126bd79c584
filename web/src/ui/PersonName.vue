<script setup lang="ts">
/** A name that opens the person. */
const { name, address } = defineProps<{ name: string; address: string }>()
</script>

<template>
  <RouterLink
    v-if="address"
    class="hover:text-kelp hover:underline"
    :to="{ name: 'people', params: { id: address.toLowerCase() } }"
    :title="`Everything with ${name || address}`"
    data-test="person-name"
    @click.stop
    ><bdi>{{ name || address }}</bdi></RouterLink
  >
  <bdi v-else>{{ name }}</bdi>
</template>
