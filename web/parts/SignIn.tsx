import { Button, Modal, PasswordInput } from '@mantine/core'
import { useState } from 'react'
import { api } from '../data/api.ts'
import { everythingAgain } from '../data/everything.ts'
import { passphraseGiven } from '../data/session.ts'

/** Asks for the passphrase over whatever is on screen, which stays as it is; a cookie remembers it on this device. */
export function SignIn({ opened }: { opened: boolean }) {
  const [phrase, setPhrase] = useState('')
  const [error, setError] = useState<string | null>(null)
  const [asking, setAsking] = useState(false)
  async function say(event: React.FormEvent) {
    event.preventDefault()
    setAsking(true)
    try {
      await api('/session', { method: 'POST', body: { passphrase: phrase } })
      setPhrase('')
      setError(null)
      passphraseGiven()
      await everythingAgain()
    } catch (refused) {
      setError((refused as Error).message)
    } finally {
      setAsking(false)
    }
  }
  return (
    <Modal opened={opened} onClose={() => undefined} withCloseButton={false} title="The passphrase, please">
      <form onSubmit={say}>
        <PasswordInput
          label="Passphrase of this bakery"
          description="This device remembers it for 30 days."
          autoComplete="current-password"
          value={phrase}
          error={error}
          onChange={(e) => setPhrase(e.currentTarget.value)}
          data-autofocus
        />
        <Button type="submit" variant="filled" mt="md" fullWidth loading={asking} disabled={phrase === ''}>
          Go in
        </Button>
      </form>
    </Modal>
  )
}
