import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/intake' },
    {
      path: '/intake/:id?',
      name: 'intake',
      component: () => import('@/intake/IntakeView.vue'),
      meta: { title: 'Intake' },
    },
    {
      path: '/follow-ups/:id?',
      name: 'follow-ups',
      component: () => import('@/followups/FollowUpsView.vue'),
      meta: { title: 'Follow-ups' },
    },
    {
      path: '/threads/:id?',
      name: 'threads',
      component: () => import('@/threads/ThreadsView.vue'),
      meta: { title: 'Threads' },
    },
    {
      path: '/capture',
      name: 'capture',
      component: () => import('@/capture/SharedPage.vue'),
      meta: { title: 'Capture' },
    },
    {
      path: '/settings/:page(sources|categories|working-time|senders|phrases|recipes|capture|keys|account)?',
      name: 'settings',
      component: () => import('@/settings/SettingsView.vue'),
      meta: { title: 'Settings' },
    },
    { path: '/:rest(.*)', redirect: '/intake' },
  ],
})

router.afterEach((to) => {
  const title = typeof to.meta.title === 'string' ? `${to.meta.title} · Squallnote` : 'Squallnote'
  document.title = title
})
