import { gunzipSync, gzipSync } from 'node:zlib'
import { type BackupFile, readBackupFile } from '#core/files/backupFile'
import { invalid, ProblemError } from '../http/problems.ts'

/** Most that a backup may be when unpacked: near what a text may be in this language at all. */
const MOST_BYTES = 500 * 1024 * 1024

export const pack = (file: BackupFile): Buffer => gzipSync(JSON.stringify(file))

/** Reads a backup, compressed or plain. @throws ProblemError with what is wrong and where. */
export function unpack(bytes: Uint8Array): BackupFile {
  const read = readBackupFile(parse(text(bytes)))
  if (!read.ok) throw invalid(read.faults)
  return read.value
}

function text(bytes: Uint8Array): string {
  const compressed = bytes[0] === 0x1f && bytes[1] === 0x8b
  if (!compressed) return Buffer.from(bytes).toString('utf8')
  try {
    return gunzipSync(bytes, { maxOutputLength: MOST_BYTES }).toString('utf8')
  } catch {
    throw new ProblemError(
      400,
      'unreadable',
      'Not readable',
      'This file is damaged or was cut short: it cannot be unpacked. Try another backup.',
    )
  }
}

function parse(json: string): unknown {
  try {
    return JSON.parse(json)
  } catch {
    throw new ProblemError(
      400,
      'not-json',
      'Not a backup',
      'This is not a Kanten backup: it is neither JSON nor JSON compressed with gzip.',
    )
  }
}
