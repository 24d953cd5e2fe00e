import exifr from 'exifr'
import { MOST_PHOTOGRAPH_BYTES } from '#contract/log'
import { ProblemError } from '../http/problems.ts'

/** What files begin with, by what they are. */
const BEGINNINGS: { type: string; fits(bytes: Buffer): boolean }[] = [
  { type: 'image/jpeg', fits: (b) => b.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])) },
  { type: 'image/png', fits: (b) => b.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex')) },
  {
    type: 'image/webp',
    fits: (b) => b.toString('latin1', 0, 4) === 'RIFF' && b.toString('latin1', 8, 12) === 'WEBP',
  },
]

const refused = (code: string, title: string, detail: string) => new ProblemError(422, code, title, detail)

/** What kind of picture it is. @throws ProblemError when it is none, too large, or says where it was taken. */
export async function photographType(bytes: Buffer): Promise<string> {
  if (bytes.length > MOST_PHOTOGRAPH_BYTES)
    throw refused(
      'too-large',
      'Photograph too large',
      `It has ${(bytes.length / 1e6).toFixed(1)} MB; at most ${MOST_PHOTOGRAPH_BYTES / 1e6} MB are kept. Make it smaller first.`,
    )
  const type = BEGINNINGS.find((b) => b.fits(bytes))?.type
  if (!type) throw refused('no-photograph', 'Not a photograph', 'Choose a picture as JPEG, PNG or WebP.')
  const place = await exifr.gps(bytes).catch(() => undefined)
  if (place)
    throw refused(
      'says-where',
      'The photograph says where it was taken',
      'Take its position data out first: it would travel with every backup.',
    )
  return type
}
