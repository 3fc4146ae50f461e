/**
 * What `side-channel` does, for browsers that have a WeakMap, as all do that we speak to: the package brings a dozen others along for those
 * that have none, a twentieth of what the first page loads. Query strings of addresses are read and written with it (`qs`).
 */
module.exports = function getSideChannel() {
  const channel = new WeakMap()
  return {
    assert(key) {
      if (!channel.has(key)) throw new TypeError('Side channel does not contain the given object key')
    },
    delete: (key) => channel.delete(key),
    get: (key) => channel.get(key),
    has: (key) => channel.has(key),
    set: (key, value) => void channel.set(key, value),
  }
}
