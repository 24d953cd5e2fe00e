import { z } from 'zod'
import { endpoint } from './endpoint.ts'

export const sessionEndpoints = {
  open: endpoint({
    method: 'post',
    path: '/session',
    summary: 'Say the passphrase once; a cookie remembers it',
    body: z.object({ passphrase: z.string().max(400) }),
  }),
  close: endpoint({ method: 'delete', path: '/session', summary: 'Forget the passphrase on this device' }),
}
