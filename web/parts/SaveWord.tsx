import type { SaveState } from '../data/documentSync.ts'
import css from './SaveWord.module.css'

const words: Record<SaveState['kind'], string> = {
  saved: 'Saved',
  saving: 'Saving…',
  waiting: 'Not saved yet, trying again',
  conflict: 'Changed elsewhere',
  refused: 'Not saved',
}

/** Says in a word or two whether what is on screen is saved. */
export function SaveWord({ save }: { save: SaveState }) {
  return (
    <span role="status" className={css.word} data-trouble={save.kind !== 'saved' && save.kind !== 'saving'}>
      {words[save.kind]}
      {(save.kind === 'refused' || save.kind === 'waiting') && <small>{save.why}</small>}
    </span>
  )
}
