import { type SurfaceKind, surfaceDefinition } from '../surfaces/index.ts'
import { counted } from '../units.ts'
import { colourOf } from './colourWords.ts'
import type { Item } from './lex.ts'
import type { Chip, LineRead, MeantColour, MeantFlower, MeantPiece } from './meant.ts'
import { joinedMissed } from './missed.ts'
import type { Span } from './spans.ts'
import type { Meaning, Vocabulary } from './vocabulary.ts'

type Phrase = Item & { kind: 'phrase' }
type Of<K extends Meaning['kind']> = Extract<Meaning, { kind: K }>

/** How many there usually are, where nobody says. */
const USUAL = { pieces: 12, flowersOnCake: 5, leavesOnCake: 8, leaves: 2 }
/** Of these there are usually many, and a line shares them out; of the others one. */
const MANY: ReadonlySet<SurfaceKind> = new Set(['cupcake', 'cookie', 'hexagon'])
const MINI_MM: Partial<Record<SurfaceKind, number>> = { cupcake: 45, cookie: 45 }
const MOST_PIECES = 5000

/** Reads the items of one line from left to right. */
export class LineReader {
  readonly #text: string
  readonly #items: readonly Item[]
  readonly #vocabulary: Vocabulary
  readonly #out: LineRead = { pieces: [], day: null, avoid: [], colours: [], chips: [], missed: [] }
  #at = 0
  /** The pieces that counts are shared out of, and how many of them have been named. */
  #group: { head: MeantPiece; count: number; named: number; said: boolean } | null = null
  #piece: MeantPiece | null = null
  #flower: { of: MeantFlower; border: boolean } | null = null
  /** Flowers that no piece has come for yet. */
  #waiting: { of: MeantFlower; span: Span; told: boolean; name: string }[] = []
  #count: (Span & { value: number }) | null = null
  #share: (Span & { value: number }) | null = null
  #ofEach: number | null = null
  #size: (Span & { size: 'big' | 'small' }) | null = null
  #tiers: number | null = null
  #colour: MeantColour | null = null
  #schoolId: string | null = null
  #mm: { mm: number[]; times: boolean } | null = null
  /** Small ones, and how wide those are where nobody says. */
  #mini = new Map<MeantPiece, number>()

  constructor(text: string, items: readonly Item[], vocabulary: Vocabulary) {
    this.#text = text
    this.#items = items
    this.#vocabulary = vocabulary
  }

  read(): LineRead {
    for (this.#at = 0; this.#at < this.#items.length; this.#at += 1) this.#take(this.#items[this.#at]!)
    this.#dropCount()
    this.#dropSize()
    this.#dropShare()
    this.#closeGroup()
    for (const { span, told } of this.#waiting) if (!told) this.#miss(span)
    for (const [piece, mm] of this.#mini) if (piece.mm.length === 0) piece.mm = [mm]
    this.#out.missed = joinedMissed(this.#text, this.#items, this.#out.missed)
    return this.#out
  }

  #take(item: Item) {
    switch (item.kind) {
      case 'number':
        return this.#number(item)
      case 'share':
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
    const piece = this.#piece
    if (piece?.kind === 'number' && piece.digits === null && piece.flowers.length === 0) {
      piece.digits = this.#text.slice(item.from, item.to)
      return this.#chip(item, 'number', `the number ${piece.digits}`)
    }
    if (item.value === 0 || item.value > MOST_PIECES) return this.#missClause(item)
    if (this.#means(this.#items[this.#at + 1], 'tiers')) {
      this.#tiers = item.value
      return this.#chip(item, 'number', counted(item.value, 'tier'))
    }
    this.#dropCount()
    this.#count = item
  }

  #phrase(item: Phrase) {
    if (this.#isName(item)) return this.#miss(item)
    const next = this.#next()
    const colour = meaning(item, 'colour')
    const flower = meaning(item, 'flower')
    // "lavender roses" have a colour, "12 lavender" are flowers, "blush, lavender" are two colours
    const asColour = colour && (!flower || this.#beforeFlower() || this.#afterColour())
    if (asColour && colour) {
      const hex = colourOf(colour.name)
      if (hex) return this.#colourSaid(item, { name: colour.name, hex })
    }
    const piece = meaning(item, 'piece')
    if (piece) return this.#pieceSaid(item, piece.piece)
    if (flower) return this.#flowerSaid(item, flower, next)
    const school = meaning(item, 'school')
    const edge = meaning(item, 'edge')
    if (edge && this.#flower?.border) return this.#edges(item, edge.edges)
    if (school) {
      if (this.#piece) this.#piece.schoolId = school.schoolId
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

  /** "For Mrs Plum": a word with a capital after one that is not known, or after "for", is somebody's name. */
  #isName(item: Span): boolean {
    const before = this.#items[this.#at - 1]
    const leads = before?.kind === 'unknown' || (before?.kind === 'joining' && before.word === 'for')
    return leads && /^\p{Lu}/u.test(this.#text.slice(item.from))
  }

  #each(item: Span) {
    const before = this.#items[this.#at - 1]
    const ofEach = before?.kind === 'joining' && before.word === 'of'
    if (this.#count && ofEach) {
      this.#ofEach = this.#count.value
      this.#chip({ from: this.#count.from, to: item.to }, 'number', `${this.#ofEach} of each`)
    } else if (this.#count && this.#flower) {
      this.#flower.of.count = this.#count.value
      this.#chip({ from: this.#count.from, to: item.to }, 'number', `${this.#count.value} on each`)
    } else if (!this.#flower) return this.#miss(item)
    else this.#chip(item, 'number', 'on each')
    this.#count = null
  }

  #pieceSaid(item: Phrase, kind: SurfaceKind): void {
    this.#closeGroup()
    const many = MANY.has(kind)
    const count = this.#count?.value ?? (many ? USUAL.pieces : 1)
    const mini = this.#size?.size === 'small' && MINI_MM[kind]
    if (mini && this.#size) this.#chip(this.#size, 'measure', `${mini} mm across`, true)
    else this.#dropSize()
    this.#dropShare()
    this.#colour = null
    const piece: MeantPiece = {
      ...{ kind, count, digits: null, schoolId: this.#schoolId, tiers: kind === 'cake' ? this.#tiers : null },
      ...{ mm: this.#mm?.mm ?? [], times: this.#mm?.times ?? false },
      flowers: this.#waiting.map(({ of }) => of),
    }
    if (mini) this.#mini.set(piece, mini)
    this.#out.pieces.push(piece)
    this.#piece = piece
    this.#group = { head: piece, count, named: 0, said: this.#count !== null }
    this.#flower = this.#waiting.length > 0 ? { of: this.#waiting.at(-1)!.of, border: false } : null
    const { label, plural } = surfaceDefinition(kind)
    this.#chip(
      { from: this.#count?.from ?? item.from, to: item.to },
      'piece',
      counted(count, label, plural),
      (many && !this.#count) || item.corrected,
    )
    for (const { of, span, told, name } of this.#waiting)
      if (!told) this.#chip(span, 'flower', `${of.count} × ${name} on each`)
    this.#waiting = []
    this.#count = this.#size = this.#schoolId = this.#mm = this.#ofEach = this.#tiers = null
  }

  #flowerSaid(item: Phrase, { ids }: Of<'flower'>, next: Item | undefined) {
    const [flowerId] = ids
    const { form, name } = this.#vocabulary.flowers.get(flowerId!)!
    const border = form === 'border'
    const of: MeantFlower = {
      ...{ flowerId: flowerId!, count: 1, size: this.#size?.size ?? null, colour: this.#colour, edge: 'top' },
    }
    const half = this.#group && this.#share
    const counts =
      this.#count?.value ?? (half && this.#group ? Math.round(this.#group.count * half.value) : null)
    const numbered = this.#count
    if (this.#size) this.#chip(this.#size, 'measure', this.#size.size)
    if (half) this.#chip(half, 'number', 'half of them')
    else this.#dropShare()
    this.#count = this.#share = this.#size = this.#colour = null
    const span = { from: numbered?.from ?? item.from, to: item.to }
    // "12 rose cupcakes", "12 roses on cupcakes": the number is of the pieces
    const carrier = this.#carrier()
    if (carrier) {
      this.#waiting.push({ of, span, told: true, name })
      this.#count = numbered
      return this.#chip(item, 'flower', name, item.corrected, this.#others(ids))
    }
    if (!this.#piece) {
      of.count = counts ?? 1
      this.#waiting.push({ of, span, told: false, name })
      return
    }
    const guessed = this.#place(of, { counts, form, plural: item.plural, next, span })
    this.#flower = { of, border }
    this.#chip(
      span,
      border ? 'border' : 'flower',
      border ? name : `${of.count} × ${name} on each`,
      guessed || item.corrected || ids.length > 1,
      this.#others(ids),
    )
  }

  /** Puts a flower on the open piece, or on a share of its kind. @returns whether its number is a guess. */
  #place(
    of: MeantFlower,
    said: { counts: number | null; form: string; plural: boolean; next: Item | undefined; span: Span },
  ): boolean {
    const { counts, form } = said
    const piece = this.#piece!
    const group = this.#group!
    const many = MANY.has(piece.kind)
    const each = this.#means(said.next, 'each')
    const wanted = this.#ofEach ?? counts
    const shares =
      many && group.count > 1 && wanted !== null && !each && form !== 'border' && !this.#afterWith(said.span)
    if (shares) {
      const share = group.named === 0 && piece.flowers.length === 0 ? piece : { ...group.head, flowers: [] }
      if (share !== piece) this.#out.pieces.push(share)
      const mini = this.#mini.get(group.head)
      if (mini) this.#mini.set(share, mini)
      share.count = wanted
      share.flowers = [of]
      group.named += wanted
      this.#piece = share
      return group.named > group.count
    }
    piece.flowers.push(of)
    of.count = counts ?? this.#usual(piece.kind, form, said.plural)
    return counts === null && form !== 'border' && of.count > 1
  }

  #usual(kind: SurfaceKind, form: string, plural: boolean): number {
    if (form === 'border') return 1
    const leafy = form === 'leaf' || form === 'vine'
    if (MANY.has(kind)) return leafy && plural ? USUAL.leaves : 1
    return leafy ? USUAL.leavesOnCake : USUAL.flowersOnCake
  }

  #edges(item: Span, edges: readonly ('top' | 'foot')[]): void {
    const { of } = this.#flower!
    of.edge = edges[0]!
    for (const edge of edges.slice(1)) this.#piece!.flowers.push({ ...of, edge })
    this.#chip(
      item,
      'border',
      edges.map((e) => (e === 'foot' ? 'round the foot' : 'round the top')).join(' and '),
    )
  }

  #measures(item: Item & { kind: 'measures' }) {
    const words = item.mm.map((mm) => `${mm} mm`).join(item.times ? ' × ' : ' and ')
    const before = this.#items[this.#at - 1]
    if (this.#flower && before?.kind === 'phrase' && meaning(before, 'flower') && item.mm.length === 1) {
      this.#flower.of.size = item.mm[0]!
      return this.#chip(item, 'measure', `${words} across`)
    }
    const piece = this.#piece
    if (piece && piece.mm.length > 0 && piece.flowers.length === 0) piece.mm.push(...item.mm)
    else if (piece && (piece.mm.length === 0 || piece.kind !== 'cake') && piece.flowers.length === 0)
      Object.assign(piece, { mm: item.mm, times: item.times })
    else if (!piece || this.#pieceFollows()) this.#mm = item
    else return this.#miss(item)
    this.#chip(item, 'measure', words)
  }

  #colourSaid(item: Span, colour: MeantColour): void {
    if (this.#beforeFlower()) this.#colour = colour
    else this.#out.colours.push(colour)
    this.#chip(item, 'colour', colour.name)
  }

  /** A piece that the flower just said is on: "rose cupcakes", "roses on 12 cupcakes" keep their number for it. */
  #carrier(): boolean {
    const rest = this.#items.slice(this.#at + 1).filter((i) => i.kind !== 'joining' || i.word !== 'on')
    return this.#means(rest[0], 'piece')
  }

  #pieceFollows = (): boolean => {
    const rest = this.#items.slice(this.#at + 1).filter((i) => i.kind !== 'joining')
    return this.#means(rest[0], 'piece')
  }

  /** Whether a flower comes next, sizes and other colours aside. */
  #beforeFlower(): boolean {
    for (const item of this.#items.slice(this.#at + 1)) {
      if (item.kind === 'phrase' && meaning(item, 'size') && !meaning(item, 'flower')) continue
      return item.kind === 'phrase' && meaning(item, 'flower') !== null
    }
    return false
  }

  /** Whether this stands in a list of colours. */
  #afterColour(): boolean {
    const before = this.#items
      .slice(0, this.#at)
      .filter((i) => i.kind !== 'joining' && i.kind !== 'mark')
      .at(-1)
    return this.#means(before, 'colour') || this.#means(before, 'list') || before?.kind === 'hex'
  }

  /** Whether "with" stands before a number: then it is what each piece has. */
  #afterWith(span: Span): boolean {
    const before = this.#items.filter((i) => i.to <= span.from).at(-1)
    return before?.kind === 'joining' && before.word === 'with'
  }

  #others(ids: readonly string[]): string[] {
    return ids.slice(1).map((id) => this.#vocabulary.flowers.get(id)!.name)
  }

  #next(): Item | undefined {
    return this.#items[this.#at + 1]
  }

  #means(item: Item | undefined, kind: Meaning['kind']): boolean {
    return item?.kind === 'phrase' && meaning(item, kind) !== null
  }

  /** Pieces that were counted and not named stay bare. */
  #closeGroup(): void {
    const group = this.#group
    if (group && group.named > 0 && group.named < group.count)
      this.#out.pieces.push({ ...group.head, count: group.count - group.named, flowers: [] })
    this.#group = null
  }

  #dropCount(): void {
    if (this.#count && this.#ofEach === null) this.#miss(this.#count)
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
    const end = this.#items.slice(this.#at).find((i) => i.kind === 'mark' && i.mark === ';')
    this.#miss({ from: item.from, to: end?.from ?? this.#text.trimEnd().length })
    while (this.#items[this.#at + 1] && this.#items[this.#at + 1] !== end) this.#at += 1
  }

  #chip(span: Span, kind: Chip['kind'], says: string, guess = false, others: string[] = []): void {
    this.#out.chips.push({ from: span.from, to: span.to, kind, says, guess, others })
  }
}

function meaning<K extends Meaning['kind']>(item: Phrase, kind: K): Of<K> | null {
  return (item.means.find((m) => m.kind === kind) as Of<K> | undefined) ?? null
}
