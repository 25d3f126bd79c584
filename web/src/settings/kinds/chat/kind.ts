import { MessagesSquare } from '@lucide/vue'
import ChatSource from '@/settings/kinds/chat/ChatSource.vue'
import { defineKind } from '@/settings/kinds/kinds'

export default defineKind({
  kind: 'CHAT',
  order: 2,
  name: 'a chat account',
  icon: MessagesSquare,
  settings: ChatSource,
})
