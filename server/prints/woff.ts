import { inflateSync } from 'node:zlib'

/** Sizes in a WOFF 1.0 file and in an OpenType file, bytes (W3C Recommendation, 13 December 2012, sections 3 to 5). */
const WOFF_HEADER = 44
const WOFF_ENTRY = 20
const SFNT_HEADER = 12
const SFNT_ENTRY = 16

/**
 * An OpenType font out of its WOFF wrapping. The reader of fonts would unwrap it anew for every print, which takes longer than
 * the rest of it.
 */
export function unwrapped(woff: Buffer): Buffer {
  const count = woff.readUInt16BE(12)
  const tables = Array.from({ length: count }, (_, i) => {
    const at = WOFF_HEADER + i * WOFF_ENTRY
    const [offset, packed, length] = [4, 8, 12].map((o) => woff.readUInt32BE(at + o)) as [
      number,
      number,
      number,
    ]
    const data = woff.subarray(offset, offset + packed)
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      // what packing would have made larger is stored as it is
      data: packed < length ? inflateSync(data) : data,
    }
  })
  const head = Buffer.alloc(SFNT_HEADER + count * SFNT_ENTRY)
  woff.copy(head, 0, 4, 8)
  const power = Math.floor(Math.log2(count))
  head.writeUInt16BE(count, 4)
  head.writeUInt16BE(16 * 2 ** power, 6)
  head.writeUInt16BE(power, 8)
  head.writeUInt16BE(16 * (count - 2 ** power), 10)
  let offset = head.length
  const parts = tables.map(({ tag, checksum, data }, i) => {
    const at = SFNT_HEADER + i * SFNT_ENTRY
    tag.copy(head, at)
    head.writeUInt32BE(checksum, at + 4)
    head.writeUInt32BE(offset, at + 8)
    head.writeUInt32BE(data.length, at + 12)
    const padded = Buffer.concat([data, Buffer.alloc(-data.length & 3)])
    offset += padded.length
    return padded
  })
  return Buffer.concat([head, ...parts])
}
