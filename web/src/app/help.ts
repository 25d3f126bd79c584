import { defineStore } from 'pinia'

/** Whether the list of keys is shown. */
export const useKeyHelp = defineStore('key help', { state: () => ({ open: false }) })
