import type { Item } from './lex.ts'
import type { Span } from './spans.ts'
import type { Meaning } from './vocabulary.ts'

/** A stretch of words that the vocabulary has. */
export type Phrase = Item & { kind: 'phrase' }

/** What a phrase means as one kind of thing, or null where it is none of that kind. */
export function meaning<K extends Meaning['kind']>(
  item: Item | undefined,
  kind: K,
): Extract<Meaning, { kind: K }> | null {
  const found = item?.kind === 'phrase' ? item.means.find((m) => m.kind === kind) : undefined
  return (found as Extract<Meaning, { kind: K }> | undefined) ?? null
}

/** What stands around the item that is being read: it decides what a word means that may mean several things. */
export class Around {
  at = 0
  readonly #items: readonly Item[]
  readonly #text: string

  constructor(items: readonly Item[], text: string) {
    this.#items = items
    this.#text = text
  }

  get next(): Item | undefined {
    return this.#items[this.at + 1]
  }

  get before(): Item | undefined {
    return this.#items[this.at - 1]
  }

  /** A piece that the flower just said is on: "rose cupcakes", "roses on cupcakes" keep their number for it. */
  carries(): boolean {
    const rest = this.#items.slice(this.at + 1).filter((i) => i.kind !== 'joining' || i.word !== 'on')
    return meaning(rest[0], 'piece') !== null
  }

  /** Whether a piece comes next, joining words aside. */
  pieceFollows(): boolean {
    const rest = this.#items.slice(this.at + 1).filter((i) => i.kind !== 'joining')
    return meaning(rest[0], 'piece') !== null
  }

  /** Whether a flower comes next, sizes aside. */
  beforeFlower(): boolean {
    const rest = this.#items.slice(this.at + 1)
    return (
      meaning(
        rest.find((i) => !meaning(i, 'size') || meaning(i, 'flower')),
        'flower',
      ) !== null
    )
  }

  /** Whether this stands in a list of colours. */
  afterColour(): boolean {
    const before = this.#items
      .slice(0, this.at)
      .filter((i) => i.kind !== 'joining' && i.kind !== 'mark')
      .at(-1)
    return before?.kind === 'hex' || meaning(before, 'colour') !== null || meaning(before, 'list') !== null
  }

  /** Whether "with" stands before a stretch: then it is what each piece has. */
  afterWith(span: Span): boolean {
    const before = this.#items.filter((i) => i.to <= span.from).at(-1)
    return before?.kind === 'joining' && before.word === 'with'
  }

  /** "For Mrs Plum": a word with a capital after one that is not known, or after "for", is somebody's name. */
  isName(item: Span): boolean {
    const { before } = this
    const leads = before?.kind === 'unknown' || (before?.kind === 'joining' && before.word === 'for')
    return leads && /^\p{Lu}/u.test(this.#text.slice(item.from))
  }
}
