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
  it('take a state folder from where Kanten is started, and names it answers to', () => {
    expect(read({ KANTEN_STATE: 'state' }).stateFolder).toBe(`${process.cwd()}/state`)
    const { hosts } = read({ KANTEN_HOSTS: 'kanten.local, https://kanten.example' })
    expect(hosts.get('kanten.local')).toBe('http')
    expect(hosts.get('kanten.example')).toBe('https')
    expect(hosts.get('localhost')).toBe('http')
    expect(() => read({ KANTEN_HOSTS: 'http://:::' })).toThrow(/must be names or addresses/)
    const open = read({ HOST: '0.0.0.0', KANTEN_PASSPHRASE: 'long enough' }).hosts
    expect(open.size).toBeGreaterThan(hosts.size - 2)
  })
  it('refuse an address of a database that is none', () => {
    expect(() => read({ DATABASE_URL: 'mysql://a:secret@b/c' })).toThrow(
      /^DATABASE_URL must be an address like/,
    )
    expect(() => read({ DATABASE_URL: 'postgresql://host' })).toThrow(/name of the database/)
  })
  it('name a port that cannot be one', () => {
    expect(() => read({ PORT: 'eighty' })).toThrow(/not "eighty"/)
  })
})
