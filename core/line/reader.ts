import { type SurfaceKind, surfaceDefinition } from '../surfaces/index.ts'
import { counted } from '../units.ts'
import { Around, meaning, type Phrase } from './around.ts'
import { colourOf } from './colourWords.ts'
import { comesInMany, Ledger, miniMm, usualPieces } from './ledger.ts'
import type { Item } from './lex.ts'
import type { Chip, LineRead, MeantColour, MeantFlower, MeantPiece } from './meant.ts'
import { joinedMissed } from './missed.ts'
import type { Span } from './spans.ts'
import { type Meaning, stemsOf, type Vocabulary } from './vocabulary.ts'

type Of<K extends Meaning['kind']> = Extract<Meaning, { kind: K }>

const MOST_PIECES = 5000
const MOST_OTHERS = 8

/** Reads the items of one line from left to right. */
export class LineReader {
  readonly #text: string
  readonly #items: readonly Item[]
  readonly #vocabulary: Vocabulary
  readonly #ledger = new Ledger()
  readonly #around: Around
  readonly #out: LineRead = { pieces: [], day: null, avoid: [], colours: [], chips: [], missed: [] }
  #flower: { of: MeantFlower; border: boolean } | null = null
  /** Flowers that no piece has come for yet. */
  #waiting: { of: MeantFlower; span: Span; told: boolean; name: string }[] = []
  #count: (Span & { value: number }) | null = null
  #share: (Span & { value: number }) | null = null
  #size: (Span & { size: 'big' | 'small' }) | null = null
  #tiers: number | null = null
  #colour: MeantColour | null = null
  #schoolId: string | null = null
  #mm: { mm: number[]; times: boolean } | null = null
  constructor(text: string, items: readonly Item[], vocabulary: Vocabulary) {
    this.#text = text
    this.#items = items
    this.#around = new Around(items, text)
    this.#vocabulary = vocabulary
  }

  read(): LineRead {
    const around = this.#around
    for (; around.at < this.#items.length; around.at += 1) this.#take(this.#items[around.at]!)
    this.#dropCount()
    this.#dropSize()
    this.#dropShare()
    for (const { span, told } of this.#waiting) if (!told) this.#miss(span)
    this.#out.pieces = this.#ledger.finish()
    this.#out.missed = joinedMissed(this.#text, this.#items, this.#out.missed)
    return this.#out
  }

  #take(item: Item) {
    switch (item.kind) {
      case 'number':
        return this.#number(item)
      case 'share':
        this.#dropShare()
        this.#share = item
        return
      case 'phrase':
        return this.#phrase(item)
      case 'measures':
        return this.#measures(item)
      case 'hex':
        return this.#colourSaid(item, { name: item.hex, hex: item.hex })
      case 'day':
        this.#out.day = item.at
        return this.#chip(item, 'day', item.at, item.guess)
      case 'avoid':
        this.#out.avoid = [...new Set([...this.#out.avoid, ...item.allergens])]
        return this.#chip(item, 'avoid', `without ${item.allergens.join(', ')}`)
      case 'mark':
        // "3 on each" may follow its flower after a comma; a number that nothing follows has no meaning
        if (item.mark !== ':') this.#dropCount()
        return
      case 'joining':
        return
      default:
        return this.#miss(item)
    }
  }

  #number(item: Item & { kind: 'number' }) {
    const { piece } = this.#ledger
    if (piece?.kind === 'number' && piece.digits === null && piece.flowers.length === 0) {
      piece.digits = this.#text.slice(item.from, item.to)
      return this.#chip(item, 'number', `the number ${piece.digits}`)
    }
    if (item.value === 0 || item.value > MOST_PIECES) return this.#missClause(item)
    if (meaning(this.#around.next, 'tiers')) {
      this.#tiers = item.value
      return this.#chip(item, 'number', counted(item.value, 'tier'))
    }
    this.#dropCount()
    this.#count = item
  }

  #phrase(item: Phrase) {
    if (this.#around.isName(item)) return this.#miss(item)
    const colour = meaning(item, 'colour')
    const flower = meaning(item, 'flower')
    // "lavender roses" have a colour, "12 lavender" are flowers, "blush, lavender" are two colours
    const asColour = colour && (!flower || this.#around.beforeFlower() || this.#around.afterColour())
    if (asColour && colour) {
      const hex = colourOf(colour.name)
      if (hex) return this.#colourSaid(item, { name: colour.name, hex })
    }
    const piece = meaning(item, 'piece')
    if (piece) return this.#pieceSaid(item, piece.piece)
    if (flower) return this.#flowerSaid(item, flower)
    const school = meaning(item, 'school')
    const edge = meaning(item, 'edge')
    if (edge && this.#flower?.border) return this.#edges(item, edge.edges)
    if (school) {
      if (this.#ledger.piece) this.#ledger.piece.schoolId = school.schoolId
      else this.#schoolId = school.schoolId
      return this.#chip(item, 'school', `placed as a ${school.schoolId}`, item.corrected)
    }
    if (edge?.edges.join() === 'top' && this.#flower) return this.#chip(item, 'school', 'on top')
    const size = meaning(item, 'size')
    if (size) {
      this.#dropSize()
      this.#size = { size: size.size, from: item.from, to: item.to }
      return
    }
    if (meaning(item, 'each')) return this.#each(item)
    if (meaning(item, 'tiers')) return this.#chip(item, 'number', 'tiers', this.#tiers === null)
    if (meaning(item, 'list')) return this.#chip(item, 'colour', 'colours of the order')
    this.#miss(item)
  }

  #each(item: Span) {
    const { before } = this.#around
    const ofEach = before?.kind === 'joining' && before.word === 'of'
    if (this.#count && ofEach) {
      this.#ledger.ofEach = this.#count.value
      this.#chip({ from: this.#count.from, to: item.to }, 'number', `${this.#count.value} of each`)
    } else if (this.#count && this.#flower) {
      this.#flower.of.count = this.#count.value
      this.#chip({ from: this.#count.from, to: item.to }, 'number', `${this.#count.value} on each`)
    } else if (!this.#flower) return this.#miss(item)
    else this.#chip(item, 'number', 'on each')
    this.#count = null
  }

  #pieceSaid(item: Phrase, kind: SurfaceKind): void {
    const count = this.#count?.value ?? usualPieces(kind)
    const mini = this.#size?.size === 'small' ? miniMm(kind) : undefined
    if (mini && this.#size) this.#chip(this.#size, 'measure', `${mini} mm across`, true)
    else this.#dropSize()
    this.#dropShare()
    this.#colour = null
    const piece: MeantPiece = {
      ...{ kind, count, digits: null, schoolId: this.#schoolId, tiers: kind === 'cake' ? this.#tiers : null },
      ...{ mm: this.#mm?.mm ?? [], times: this.#mm?.times ?? false },
      flowers: this.#waiting.map(({ of }) => of),
    }
    this.#ledger.open(piece, mini)
    this.#flower = this.#waiting.length > 0 ? { of: this.#waiting.at(-1)!.of, border: false } : null
    const { label, plural } = surfaceDefinition(kind)
    this.#chip(
      { from: this.#count?.from ?? item.from, to: item.to },
      'piece',
      counted(count, label, plural),
      (comesInMany(kind) && !this.#count) || item.corrected,
    )
    for (const { of, span, told, name } of this.#waiting)
      if (!told) this.#chip(span, 'flower', `${of.count} × ${name} on each`)
    this.#waiting = []
    this.#count = this.#size = this.#schoolId = this.#mm = this.#tiers = null
  }

  #flowerSaid(item: Phrase, { ids }: Of<'flower'>) {
    const [flowerId] = ids
    const { form, name } = this.#vocabulary.flowers.get(flowerId!)!
    const border = form === 'border'
    const of: MeantFlower = {
      ...{ flowerId: flowerId!, count: 1, size: this.#size?.size ?? null, colour: this.#colour, edge: 'top' },
    }
    const { counted: all } = this.#ledger
    const half = all === null ? null : this.#share
    const counts = this.#count?.value ?? (half && all !== null ? Math.round(all * half.value) : null)
    const numbered = this.#count
    if (this.#size) this.#chip(this.#size, 'measure', this.#size.size)
    if (half) this.#chip(half, 'number', 'half of them')
    else this.#dropShare()
    this.#count = this.#share = this.#size = this.#colour = null
    const span = { from: numbered?.from ?? item.from, to: item.to }
    // "12 rose cupcakes", "12 roses on cupcakes": the number is of the pieces
    if (this.#around.carries()) {
      this.#waiting.push({ of, span, told: true, name })
      this.#count = numbered
      return this.#chip(item, 'flower', name, item.corrected, this.#others(ids))
    }
    if (!this.#ledger.piece) {
      of.count = counts ?? 1
      this.#waiting.push({ of, span, told: false, name })
      return
    }
    const onEach = meaning(this.#around.next, 'each') !== null || this.#around.afterWith(span)
    const { shared, guess } = this.#ledger.put(of, form, item.plural, counts, onEach)
    this.#flower = { of, border }
    this.#chip(
      span,
      border ? 'border' : 'flower',
      border
        ? name
        : shared
          ? `${counted(this.#ledger.piece.count, 'piece')} with ${name}`
          : `${of.count} × ${name} on each`,
      guess || item.corrected || ids.length > 1,
      this.#others(ids),
      item,
    )
  }

  #edges(item: Span, edges: readonly ('top' | 'foot')[]): void {
    const { of } = this.#flower!
    of.edge = edges[0]!
    for (const edge of edges.slice(1)) this.#ledger.piece!.flowers.push({ ...of, edge })
    this.#chip(
      item,
      'border',
      edges.map((e) => (e === 'foot' ? 'round the foot' : 'round the top')).join(' and '),
    )
  }

  #measures(item: Item & { kind: 'measures' }) {
    const words = item.mm.map((mm) => `${mm} mm`).join(item.times ? ' × ' : ' and ')
    if (this.#flower && meaning(this.#around.before, 'flower') && item.mm.length === 1) {
      this.#flower.of.size = item.mm[0]!
      return this.#chip(item, 'measure', `${words} across`)
    }
    const { piece } = this.#ledger
    if (piece && piece.mm.length > 0 && piece.flowers.length === 0) piece.mm.push(...item.mm)
    else if (piece && (piece.mm.length === 0 || piece.kind !== 'cake') && piece.flowers.length === 0)
      Object.assign(piece, { mm: item.mm, times: item.times })
    else if (!piece || this.#around.pieceFollows()) this.#mm = item
    else return this.#miss(item)
    this.#chip(item, 'measure', words)
  }

  #colourSaid(item: Span, colour: MeantColour): void {
    if (this.#around.beforeFlower()) this.#colour = colour
    else this.#out.colours.push(colour)
    this.#chip(item, 'colour', colour.name)
  }

  /** What else the word for a flower may mean: others of that name first, then those that have it in theirs. */
  #others(ids: readonly string[]): string[] {
    const { flowers } = this.#vocabulary
    const [first] = stemsOf(flowers.get(ids[0]!)!.name).slice(-1)
    const alike = [...flowers.values()].filter((f) => !ids.includes(f.id) && stemsOf(f.name).includes(first!))
    return [...ids.slice(1).map((id) => flowers.get(id)!), ...alike].slice(0, MOST_OTHERS).map((f) => f.name)
  }

  #dropCount(): void {
    if (this.#count && this.#ledger.ofEach === null) this.#miss(this.#count)
    this.#count = null
  }

  #dropSize(): void {
    if (this.#size) this.#miss(this.#size)
    this.#size = null
  }

  #dropShare(): void {
    if (this.#share) this.#miss(this.#share)
    this.#share = null
  }

  #miss({ from, to }: Span): void {
    this.#out.missed.push({ from, to })
  }

  /** Everything up to the end of what is said here. */
  #missClause(item: Span): void {
    const end = this.#items.slice(this.#around.at).find((i) => i.kind === 'mark' && i.mark === ';')
    this.#miss({ from: item.from, to: end?.from ?? this.#text.trimEnd().length })
    while (this.#around.next && this.#around.next !== end) this.#around.at += 1
  }

  #chip(
    { from, to }: Span,
    kind: Chip['kind'],
    says: string,
    guess = false,
    others: string[] = [],
    word: Span = { from, to },
  ): void {
    this.#out.chips.push({ from, to, kind, says, guess, others, word: { from: word.from, to: word.to } })
  }
}
