// An ordinary client, as its authors ship it, does what people do; what the server lacks shows as an error here.
import * as sdk from 'matrix-js-sdk'
import { logger } from 'matrix-js-sdk/lib/logger.js'
import assert from 'node:assert/strict'

logger.setLevel(logger.levels.ERROR)
const [address, password] = process.argv.slice(2)

async function signedIn(user) {
  const login = await sdk.createClient({ baseUrl: address }).loginWithPassword(user, password)
  const client = sdk.createClient({
    baseUrl: address,
    userId: login.user_id,
    accessToken: login.access_token,
    deviceId: login.device_id,
    timelineSupport: true,
  })
  await client.startClient({ initialSyncLimit: 10, lazyLoadMembers: true })
  await new Promise((resolve, reject) => {
    client.on(sdk.ClientEvent.Sync, (state, _before, data) => {
      if (state === 'PREPARED') resolve()
      if (state === 'ERROR') reject(data?.error ?? new Error('sync failed'))
    })
  })
  return client
}

function until(what, holds) {
  return new Promise((resolve, reject) => {
    const end = Date.now() + 15_000
    const look = () => {
      const found = holds()
      if (found) resolve(found)
      else if (Date.now() > end) reject(new Error(`waited in vain for: ${what}`))
      else setTimeout(look, 30)
    }
    look()
  })
}

const step = (name) => console.log(name)
const texts = (client, room) =>
  (client.getRoom(room)?.getLiveTimeline().getEvents() ?? [])
    .filter((event) => event.getType() === 'm.room.message')
    .map((event) => event.getContent().body)

const ines = await signedIn('ines')
const bo = await signedIn('bo')
step('signed in and synced')

const { room_id: room } = await ines.createRoom({ name: 'Regatta helpers', preset: 'private_chat' })
await ines.invite(room, bo.getUserId())
await until('the invitation', () => bo.getRoom(room)?.getMyMembership() === 'invite')
await bo.joinRoom(room)
await until('the joined room', () => bo.getRoom(room)?.getMyMembership() === 'join')
assert.equal((await until('the name', () => bo.getRoom(room)))?.name, 'Regatta helpers')
step('created, invited, joined')

const { event_id: said } = await ines.sendTextMessage(room, 'Who has the key?')
await until('the message', () => texts(bo, room).includes('Who has the key?'))
await ines.sendMessage(room, {
  msgtype: 'm.text',
  body: '* Who has the keys?',
  'm.new_content': { msgtype: 'm.text', body: 'Who has the keys?' },
  'm.relates_to': { rel_type: 'm.replace', event_id: said },
})
await until('the edit', () => texts(bo, room).includes('Who has the keys?'))
await bo.sendEvent(room, 'm.reaction', {
  'm.relates_to': { rel_type: 'm.annotation', event_id: said, key: '👍' },
})
const { event_id: wrong } = await bo.sendTextMessage(room, 'Not me, sorry')
await until('the answer', () => texts(ines, room).includes('Not me, sorry'))
await bo.redactEvent(room, wrong)
await until('the redaction', () => ines.getRoom(room).findEventById(wrong)?.isRedacted())
step('sent, edited, reacted, redacted')

const bytes = new TextEncoder().encode('north pontoon')
const { content_uri: file } = await ines.uploadContent(new Blob([bytes], { type: 'text/plain' }), {
  name: 'plan.txt',
  type: 'text/plain',
})
await ines.sendMessage(room, { msgtype: 'm.file', body: 'plan.txt', url: file })
await until('the file', () => texts(bo, room).includes('plan.txt'))
const got = await fetch(bo.mxcUrlToHttp(file, undefined, undefined, undefined, false, true, true), {
  headers: { Authorization: `Bearer ${bo.getAccessToken()}` },
})
assert.equal(await got.text(), 'north pontoon')
step('uploaded and read a file')

for (let i = 0; i < 60; i++) {
  await ines.sendTextMessage(room, `line ${i}`)
}
await until('the last line', () => texts(bo, room).includes('line 59'))
bo.stopClient()
const again = await signedIn('bo')
await until('the room', () => again.getRoom(room))
assert.ok(!texts(again, room).includes('line 5'), 'the first sync is short')
for (let i = 0; i < 20 && !texts(again, room).includes('Who has the keys?'); i++) {
  await again.scrollback(again.getRoom(room), 20)
}
assert.ok(
  texts(again, room).includes('Who has the keys?'),
  'what was said first is read back, as it was edited',
)
assert.ok(texts(again, room).includes('line 5'))
step('read back')

await again.setAccountData('m.direct', { [ines.getUserId()]: [room] })
await until(
  'the account data',
  () => again.getAccountData('m.direct')?.getContent()[ines.getUserId()],
)
await again.addPushRule('global', 'content', 'crane', { actions: ['notify'], pattern: 'crane' })
const rules = await again.getPushRules()
assert.ok(rules.global.content.some((rule) => rule.rule_id === 'crane'))
await again.deletePushRule('global', 'content', 'crane')
step('kept account data and push rules')

const last = ines.getRoom(room).getLiveTimeline().getEvents().at(-1)
await ines.setRoomReadMarkers(room, last.getId(), last)
await ines.sendTyping(room, true, 1000)
await ines.setRoomName(room, 'Regatta crew')
await until('the new name', () => again.getRoom(room).name === 'Regatta crew')
await again.leave(room)
await until('the departure', () => again.getRoom(room).getMyMembership() === 'leave')
await until(
  'the departure, for others',
  () => ines.getRoom(room).getMember(bo.getUserId())?.membership === 'leave',
)
step('read, renamed, left')

ines.stopClient()
again.stopClient()
console.log('all of it works')
process.exit(0)
