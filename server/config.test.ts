import { describe, expect, it } from 'vitest'
import { readConfig } from './config.ts'

describe('settings from the environment', () => {
  const read = (env: Record<string, string>) => readConfig(env, [], '/kanten')
  it('listen on loopback alone unless told otherwise', () => {
    expect(read({})).toMatchObject({ host: '127.0.0.1', port: 4310, databaseUrl: null, passphrase: null })
  })
  it('never open to a network without a passphrase', () => {
    expect(() => read({ HOST: '0.0.0.0' })).toThrow(/Set KANTEN_PASSPHRASE/)
    expect(() => read({ HOST: '0.0.0.0', KANTEN_PASSPHRASE: 'short' })).toThrow(/8 characters/)
    expect(read({ HOST: '0.0.0.0', KANTEN_PASSPHRASE: 'long enough' }).host).toBe('0.0.0.0')
  })
  it('name a port that cannot be one', () => {
    expect(() => read({ PORT: 'eighty' })).toThrow(/not "eighty"/)
  })
})
