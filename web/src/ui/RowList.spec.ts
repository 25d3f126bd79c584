import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { h, nextTick } from 'vue'
import RowList from '@/ui/RowList.vue'

const groups = [
  { key: 'many', title: 'Many', rows: rows('m', 1000) },
  { key: 'few', title: 'Few', rows: rows('f', 3), end: true },
]

function rows(prefix: string, count: number) {
  return Array.from({ length: count }, (_, i) => ({ key: `${prefix}${i}`, height: 30 }))
}

function list(current?: string, picked?: ReadonlySet<string>) {
  return mount(RowList, {
    attachTo: document.body,
    props: { groups, label: 'Things', current, ...(picked ? { picked } : {}) },
    slots: {
      heading: ({ group }: { group: { title: string } }) => h('span', group.title),
      row: ({ row }: { row: { key: string } }) => h('span', row.key),
      end: () => 'the end',
    },
  })
}

describe('a long list', () => {
  it('draws what is seen, and says of each row where it stands', () => {
    const wrapper = list()
    const drawn = wrapper.findAll('[role=option]')
    expect(drawn.length).toBeGreaterThan(20)
    expect(drawn.length).toBeLessThan(100)
    expect(drawn[1]?.attributes()).toMatchObject({ 'aria-setsize': '1003', 'aria-posinset': '2' })
    expect(wrapper.findAll('[role=group]').map((group) => group.attributes('aria-label'))).toEqual([
      'Many',
      'Few',
    ])
    wrapper.unmount()
  })

  it('has the current row drawn wherever it is, and is one stop that names it', async () => {
    const wrapper = list('f2')
    await nextTick()
    const box = wrapper.get('[role=listbox]')
    const row = wrapper.get('[aria-current=true]')
    expect(row.text()).toBe('f2')
    expect(box.attributes('aria-activedescendant')).toBe(row.attributes('id'))
    expect(wrapper.findAll('[tabindex="0"]')).toHaveLength(1)
    wrapper.unmount()
  })

  it('says which rows are picked, and takes all of a group', async () => {
    const wrapper = list('f1', new Set(['f1']))
    await nextTick()
    expect(wrapper.get('[aria-current=true]').attributes('aria-selected')).toBe('true')
    expect(wrapper.get('[role=listbox]').attributes('aria-multiselectable')).toBe('true')
    await wrapper.get('[role=listbox]').trigger('keydown', { key: 'a', ctrlKey: true })
    expect(wrapper.emitted('all')).toEqual([[rows('f', 3)]])
    wrapper.unmount()
  })

  it('goes to its ends and by pages', async () => {
    const wrapper = list('m5')
    const box = wrapper.get('[role=listbox]')
    for (const key of ['Home', 'End', 'PageUp']) {
      await box.trigger('keydown', { key })
    }
    expect(wrapper.emitted('go')).toEqual([['m0'], ['f2'], ['m0']])
    await box.trigger('keydown', { key: 'n' })
    expect(wrapper.emitted('go'), 'letters are the view’s').toHaveLength(3)
    wrapper.unmount()
  })

  it('is whole on paper', async () => {
    const wrapper = list()
    window.dispatchEvent(new Event('beforeprint'))
    await nextTick()
    expect(wrapper.findAll('[role=option]')).toHaveLength(1003)
    window.dispatchEvent(new Event('afterprint'))
    await nextTick()
    expect(wrapper.findAll('[role=option]').length).toBeLessThan(100)
    wrapper.unmount()
  })
})
