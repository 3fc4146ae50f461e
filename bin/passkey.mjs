#!/usr/bin/env node
// Reads what a device answered when it was asked for a passkey (W3C Web Authentication): {task: new | known, answer, challenge, origin,
// host, algorithms} and for a known one {credential, publicKey, counter}. Writes {credential, publicKey, counter}; ends with 1 if the
// answer is not one to that question.
import { text } from 'node:stream/consumers'
import { verifyAuthenticationResponse, verifyRegistrationResponse } from '@simplewebauthn/server'

const { task, answer, challenge, origin, host, algorithms, credential, publicKey, counter } = JSON.parse(await text(process.stdin))
const expected = {
  response: answer,
  expectedChallenge: challenge,
  expectedOrigin: origin,
  expectedRPID: host,
  requireUserVerification: true,
}

async function read() {
  if (task === 'new') {
    const { verified, registrationInfo } = await verifyRegistrationResponse({ ...expected, supportedAlgorithmIDs: algorithms })
    const made = registrationInfo?.credential
    return verified && { credential: made.id, publicKey: Buffer.from(made.publicKey).toString('base64url'), counter: made.counter }
  }
  const known = { id: credential, publicKey: new Uint8Array(Buffer.from(publicKey, 'base64url')), counter }
  const { verified, authenticationInfo } = await verifyAuthenticationResponse({ ...expected, credential: known })
  return verified && { credential, publicKey, counter: authenticationInfo.newCounter }
}

const found = await read().catch(() => false)
if (!found) process.exit(1)
console.log(JSON.stringify(found))
