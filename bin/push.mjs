#!/usr/bin/env node
// Messages to browsers while Dripel is closed there, through each browser's own message service (RFC 8030, 8291, 8292).
//   node bin/push.mjs keys     a new pair of keys, as JSON
//   node bin/push.mjs send     reads {keys, contact, messages: [{endpoint, p256dh, auth, text, ttlS}]}, writes the status of each; 0: not reached
import { text } from 'node:stream/consumers'
import webPush from 'web-push'

const TIMEOUT_MS = 10_000
const [task] = process.argv.slice(2)

/** One after the other would let a service that hangs hold back the rest. */
async function send({ keys, contact, messages }) {
  const vapidDetails = { subject: contact, publicKey: keys.publicKey, privateKey: keys.privateKey }
  return Promise.all(
    messages.map(({ endpoint, p256dh, auth, text: payload, ttlS }) =>
      webPush
        .sendNotification({ endpoint, keys: { p256dh, auth } }, payload, { vapidDetails, TTL: ttlS, urgency: 'high', timeout: TIMEOUT_MS })
        .then(
          ({ statusCode }) => statusCode,
          (problem) => problem.statusCode ?? 0,
        ),
    ),
  )
}

console.log(JSON.stringify(task === 'keys' ? webPush.generateVAPIDKeys() : await send(JSON.parse(await text(process.stdin)))))
