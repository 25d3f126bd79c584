import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { RecipeForm } from '@/api/client'
import { newStep, NO_CONDITIONS } from '@/settings/recipes'
import RecipesPage from '@/settings/RecipesPage.vue'
import { fakeServer, opened, pressed, submitted } from '@/testing/fakeServer'

const query = vi.hoisted((): Record<string, string> => ({}))
vi.mock('vue-router', () => ({ useRoute: () => ({ query }) }))

const recipe = (name: string, place: number, more: Partial<RecipeForm> = {}) => ({
  id: name,
  version: 4,
  form: {
    name,
    letter: name[0]?.toLowerCase() ?? null,
    place,
    automatic: false,
    conditions: { ...NO_CONDITIONS },
    steps: [newStep('FOLLOW_UP'), newStep('ARCHIVE')],
    ...more,
  },
})
const DONE = { commandId: 'c1', label: 'Kept', topics: [] }
let server: ReturnType<typeof fakeServer>
beforeEach(() => {
  Object.keys(query).forEach((name) => Reflect.deleteProperty(query, name))
  server = fakeServer()
  server.answers('GET', '/api/recipes', [
    recipe('Slipway booking', 1),
    recipe('Invoice to pay', 2, {
      automatic: true,
      conditions: { ...NO_CONDITIONS, domain: 'invoices.example' },
    }),
  ] as never)
  server.answers('GET', '/api/recipes/runs', [
    {
      commandId: 'r1',
      recipe: 'Invoice to pay',
      automatic: true,
      about: 'Noor Haddad, the third one',
      at: '2026-03-04T09:00:00Z',
      messageId: 'm7',
      undone: false,
    },
    {
      commandId: 'r2',
      recipe: 'Slipway booking',
      automatic: false,
      about: 'Oona Fairweather',
      at: '2026-03-03T09:00:00Z',
      messageId: 'm8',
      undone: true,
    },
  ] as never)
  server.answers('GET', '/api/categories', [])
  server.answers('GET', '/api/phrases', [])
  server.answers('GET', '/api/intake', { lines: [], quickChoices: [] } as never)
  server.answers('POST', '/api/recipes/dry-run', { found: 2, newest: [] })
  server.answers('PUT', '/api/recipes/{id}', DONE)
  server.answers('PUT', '/api/recipes/order', DONE)
  server.answers('DELETE', '/api/recipes/{id}', DONE)
  server.answers('POST', '/api/commands/{commandId}/undo', DONE)
})

const saved = () => server.sentTo('PUT', '/api/recipes/{id}')

describe('The recipes', () => {
  it('are told in words: their letter, their steps and when they run', async () => {
    const page = await opened(RecipesPage)
    const rows = page.findAll('[data-test=recipe]').map((row) => row.text())
    expect(rows[0]).toMatch(/^S\s*Slipway booking.*make a follow-up, archive the mail/)
    expect(rows[1]).toContain('by itself from @invoices.example')
  })

  it('are written step by step', async () => {
    const page = await opened(RecipesPage)
    await page.find('[data-test=recipe-new]').trigger('click')
    await page.find('[data-test=recipe-name]').setValue('Thanks, filed')
    await page.find('[data-test=recipe-letter]').setValue('T')
    await page.find('[data-test=step-kind]').setValue('NOTHING')
    await page.find('[data-test=add-recipe-step]').trigger('click')
    await submitted(page)
    const body = saved()[0]?.body as RecipeForm
    expect(body).toMatchObject({ name: 'Thanks, filed', letter: 't', place: 3, automatic: false })
    expect(body.steps.map((step) => step.kind)).toEqual(['NOTHING', 'ARCHIVE'])
    expect(page.find('[data-test=recipe-editor]').exists()).toBe(false)
  })

  it('put their steps in another order and leave one out', async () => {
    const page = await opened(RecipesPage)
    await pressed(page, 'Change')
    const editor = page.find('[data-test=recipe-editor]')
    expect(editor.findAll('[data-test=step]')).toHaveLength(2)
    await editor
      .findAll('button')
      .find((button) => button.text() === 'Up')
      ?.trigger('click')
    await submitted(page)
    const body = saved()[0]?.body as RecipeForm
    expect(body.steps.map((step) => step.kind)).toEqual(['ARCHIVE', 'FOLLOW_UP'])
    await pressed(page, 'Change')
    await pressed(page, 'Remove')
    await submitted(page)
    expect((saved()[1]?.body as RecipeForm).steps).toHaveLength(1)
  })

  it('stay open with what was typed where they are refused', async () => {
    server.refuses('PUT', '/api/recipes/{id}', 'The letter is taken by Slipway booking.')
    const page = await opened(RecipesPage)
    await page.find('[data-test=recipe-new]').trigger('click')
    await page.find('[data-test=recipe-name]').setValue('Another one')
    await submitted(page)
    expect(page.find<HTMLInputElement>('[data-test=recipe-name]').element.value).toBe('Another one')
  })

  it('try their conditions on the last thirty days while these are changed', async () => {
    vi.useFakeTimers()
    const page = await opened(RecipesPage)
    await page.find('[data-test=recipe-new]').trigger('click')
    await vi.advanceTimersByTimeAsync(400)
    expect(server.sentTo('POST', '/api/recipes/dry-run')).toHaveLength(0)
    await page.find('[data-test=condition-sender]').setValue('noor')
    await vi.advanceTimersByTimeAsync(400)
    vi.useRealTimers()
    await flushPromises()
    expect(server.sentTo('POST', '/api/recipes/dry-run')[0]?.body).toMatchObject({ sender: 'noor' })
    expect(page.find('[data-test=dry-run]').text()).toContain('2 messages')
  })

  it('change places as one change', async () => {
    const page = await opened(RecipesPage)
    await page.find('[aria-label="Move Invoice to pay up"]').trigger('click')
    await flushPromises()
    expect(server.sentTo('PUT', '/api/recipes/order')[0]?.body).toEqual([
      'Invoice to pay',
      'Slipway booking',
    ])
  })

  it('are deleted from their editor, a new one is not', async () => {
    const page = await opened(RecipesPage)
    await page.find('[data-test=recipe-new]').trigger('click')
    expect(page.text()).not.toContain('Delete')
    await pressed(page, 'Cancel')
    await pressed(page, 'Change')
    await pressed(page, 'Delete')
    expect(server.sentTo('DELETE', '/api/recipes/{id}')[0]?.params).toMatchObject({
      path: { id: 'Slipway booking' },
    })
  })

  it('list what they did, which is taken back from there once', async () => {
    const page = await opened(RecipesPage)
    const runs = page.find('[data-test=recipe-runs]')
    expect(runs.text()).toContain('by itself: Noor Haddad')
    expect(runs.findAll('button')).toHaveLength(1)
    await runs.find('button').trigger('click')
    await flushPromises()
    expect(server.sentTo('POST', '/api/commands/{commandId}/undo')[0]?.params).toMatchObject({
      path: { commandId: 'r1' },
    })
  })

  it('begin with a habit that another page has seen', async () => {
    Object.assign(query, { sender: '', list: 'news@tide.example', step: 'NOTHING' })
    const page = await opened(RecipesPage)
    await submitted(page)
    expect(saved()[0]?.body).toMatchObject({
      name: 'From news@tide.example',
      conditions: { list: 'news@tide.example' },
      steps: [{ kind: 'NOTHING' }],
    })
  })

  it('say so where they cannot be loaded', async () => {
    server.refuses('GET', '/api/recipes', 'Try again in a minute.')
    const page = await opened(RecipesPage)
    expect(page.text()).toContain('The recipes could not be loaded')
    expect(page.text()).toContain('Try again in a minute.')
  })
})
