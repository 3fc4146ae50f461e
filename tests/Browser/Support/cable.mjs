// The network between one device and the machine: node cable.mjs PORT APP_PORT. Ended, it is cut; halted, it hangs.
import { connect, createServer } from 'node:net'

const [port, appPort] = process.argv.slice(2).map(Number)
createServer((outside) => {
  const inside = connect(appPort, '127.0.0.1')
  outside.pipe(inside)
  inside.pipe(outside)
  outside.on('error', () => inside.destroy())
  inside.on('error', () => outside.destroy())
}).listen(port, '127.0.0.1')
