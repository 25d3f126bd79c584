import { Mail } from '@lucide/vue'
import { defineKind } from '@/settings/kinds/kinds'
import MailSource from '@/settings/kinds/mail/MailSource.vue'

export default defineKind({
  kind: 'MAIL',
  order: 1,
  name: 'a mail account',
  icon: Mail,
  settings: MailSource,
})
