import { describe, expect, it } from 'vitest'
import { withKeys } from '@/help/keysIn'
import { topicOf, TOPICS, topicsWith } from '@/help/topics'
import { addressOf, VIEWS } from '@/ui/views'

describe('The how-tos', () => {
  it('have a title, a text and an address that there is', () => {
    expect(TOPICS.length).toBeGreaterThan(20)
    expect(new Set(TOPICS.map((topic) => topic.slug)).size).toBe(TOPICS.length)
    const addresses = VIEWS.map(addressOf)
    for (const topic of TOPICS) {
      expect(topic.title, topic.slug).not.toBe('')
      expect(topic.text.length, topic.slug).toBeGreaterThan(80)
      if (topic.to !== undefined) {
        expect(addresses, topic.slug).toContain(`/${topic.to.split('/')[1] ?? ''}`)
      }
    }
  })

  it('name keys that there are', () => {
    expect(withKeys('[[Intake/Answer]] and [[Everywhere/Capture]]')).toBe('`A` and `+`')
    for (const topic of TOPICS) {
      expect(withKeys(topic.text), topic.slug).not.toContain('[[')
    }
  })

  it('are found by the beginnings of words, titles first', () => {
    expect(topicsWith('').length).toBe(TOPICS.length)
    expect(topicsWith('mailb')[0]?.slug).toBe('connect-mail')
    expect(topicsWith('PROVE answered').map((topic) => topic.slug)).toEqual(['record'])
    expect(topicsWith('xyzzy')).toEqual([])
  })

  it('are read with or without an address', () => {
    expect(topicOf('./topics/07-a-b.md', '# A b\n\nText')).toEqual({
      slug: 'a-b',
      title: 'A b',
      text: 'Text',
    })
    expect(topicOf('./topics/08-c.md', '# C\n\n/today\n\nText')).toEqual({
      slug: 'c',
      title: 'C',
      to: '/today',
      text: 'Text',
    })
    expect(TOPICS.filter((topic) => topic.to !== undefined).length).toBeGreaterThan(20)
  })
})
