#!/usr/bin/env node
// For the phone in the garage: Dripel on all interfaces, under a certificate of its own.
//   node bin/lan.mjs address PORT                      the address under which phones find this machine
//   node bin/lan.mjs serve PORT APP_PORT CERT KEY      hands everything on to the app on 127.0.0.1:APP_PORT
import { readFileSync } from 'node:fs'
import { request } from 'node:http'
import { createServer } from 'node:https'
import { networkInterfaces } from 'node:os'
import QRCode from 'qrcode'

const [task, port, appPort, cert, key] = process.argv.slice(2)

function address() {
  const outside = Object.values(networkInterfaces())
    .flat()
    .find((one) => one.family === 'IPv4' && !one.internal)
  return `https://${outside?.address ?? '127.0.0.1'}:${port}`
}

/** What the app may believe about the caller; what the caller says of itself is left out. */
function told(incoming) {
  const headers = Object.fromEntries(
    Object.entries(incoming.headers).filter(([name]) => !/^(x-forwarded-.*|forwarded|x-dripel-proxy)$/.test(name)),
  )
  return {
    ...headers,
    'x-dripel-proxy': process.env.DRIPEL_PROXY_WORD ?? '',
    'x-forwarded-proto': 'https',
    'x-forwarded-host': incoming.headers.host ?? '',
    'x-forwarded-port': port,
    'x-forwarded-for': incoming.socket.remoteAddress?.replace(/^::ffff:/, '') ?? '',
  }
}

function handOn(incoming, outgoing) {
  const inner = request(
    { host: '127.0.0.1', port: Number(appPort), method: incoming.method, path: incoming.url, headers: told(incoming) },
    (answer) => {
      outgoing.writeHead(answer.statusCode ?? 502, answer.headers)
      answer.pipe(outgoing)
    },
  )
  inner.on('error', () => {
    if (!outgoing.headersSent) outgoing.writeHead(502, { 'content-type': 'text/plain; charset=utf-8' })
    outgoing.end('Dripel is not answering. Look at the machine it runs on.')
  })
  outgoing.on('close', () => inner.destroy())
  incoming.pipe(inner)
}

if (task === 'address') {
  console.log(address())
} else {
  createServer({ cert: readFileSync(cert), key: readFileSync(key) }, handOn).listen(Number(port), '0.0.0.0', async () => {
    console.log(`In the garage: ${address()}`)
    console.log(await QRCode.toString(address(), { type: 'terminal', small: true }))
    console.log(`Once for each phone: ${address()}/trust shows how it learns to trust this machine’s certificate.`)
  })
}
