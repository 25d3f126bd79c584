import { ref } from 'vue'

/** Whether the list of keys is shown. */
export const helpOpen = ref(false)
