// Stands in for the message service of a browser's maker: takes what is sent to it and writes it down.
//   node service.mjs PORT CERT KEY FOLDER
import { writeFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { readFileSync } from 'node:fs'
import { buffer } from 'node:stream/consumers'

const [port, cert, key, folder] = process.argv.slice(2)
let got = 0
createServer({ cert: readFileSync(cert), key: readFileSync(key) }, async (incoming, answer) => {
  const body = await buffer(incoming)
  got += 1
  writeFileSync(
    `${folder}/${String(got)}.json`,
    JSON.stringify({ url: incoming.url, headers: incoming.headers, body: body.toString('base64') }),
  )
  answer.writeHead({ '/gone': 410, '/busy': 503 }[incoming.url] ?? 201).end()
}).listen(Number(port), '127.0.0.1')
