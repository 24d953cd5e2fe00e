import { IconCamera, IconTrash } from '@tabler/icons-react'
import { useRef, useState } from 'react'
import { MOST_PHOTOGRAPHS } from '#contract/log'
import { addPhotograph, removePhotograph, usePhotographs } from '../../../data/log.ts'
import { smallPhotograph } from '../../../parts/smallPhotograph.ts'
import bench from '../Bench.module.css'
import css from './WrapUp.module.css'

/** A photograph or two of what came out: made small here, without saying where it was taken. */
export function Photographs({ entryId }: { entryId: string }) {
  const { data = [], error } = usePhotographs(entryId)
  const file = useRef<HTMLInputElement>(null)
  const [busy, setBusy] = useState(false)
  const [trouble, setTrouble] = useState<string | null>(null)
  const attempt = async (work: () => Promise<void>) => {
    setBusy(true)
    setTrouble(null)
    try {
      await work()
    } catch (failed) {
      setTrouble((failed as Error).message)
    }
    setBusy(false)
  }
  return (
    <section className={css.photographs} aria-label="Photographs">
      {data.map((p, i) => (
        <figure key={p.id}>
          <img src={`/api/photographs/${p.id}`} alt={`What came out, ${i + 1} of ${data.length}`} />
          <button
            type="button"
            className={bench.small}
            aria-label={`Delete photograph ${i + 1}`}
            onClick={() => attempt(() => removePhotograph(entryId, p.id))}
          >
            <IconTrash size={24} />
          </button>
        </figure>
      ))}
      <input
        ref={file}
        type="file"
        accept="image/*"
        hidden
        aria-label="Photograph"
        onChange={(e) => {
          const chosen = e.currentTarget.files?.[0]
          e.currentTarget.value = ''
          if (chosen) void attempt(async () => addPhotograph(entryId, await smallPhotograph(chosen)))
        }}
      />
      <button
        type="button"
        className={bench.act}
        disabled={busy || data.length >= MOST_PHOTOGRAPHS}
        onClick={() => file.current?.click()}
      >
        <IconCamera size={32} stroke={1.5} /> {busy ? 'One moment…' : 'Photograph'}
      </button>
      {(trouble ?? error) && (
        <p role="alert">{trouble ?? 'Photographs need the server, and it does not answer just now.'}</p>
      )}
    </section>
  )
}
