import { Button, MultiSelect, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import type { BowlAnswer } from '#core/colour/bowl'
import { likelyWords, provenanceWords } from '#core/colour/likely'
import type { OrderColour } from '#core/model/order'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Petals, Smear } from '../../../drawings/Petal.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { CameOut } from './CameOut.tsx'
import css from './Colours.module.css'
import type { ChangeColour } from './changeColour.ts'
import { Doses, Pretint } from './Doses.tsx'
import { OtherMixes, Reach } from './OtherMixes.tsx'

/** What goes into one bowl of a colour: the drops, what a hand is likely to get, and what to do when it came out otherwise. */
export function MixOf(props: { answer: BowlAnswer; colour: OrderColour; change: ChangeColour | null }) {
  const { answer, colour, change } = props
  const { workshop } = useOrderEditor()
  const weight = useWeight()
  const [by, setBy] = useState<'drops' | 'weight'>('drops')
  const [looking, setLooking] = useState(false)
  const icing = workshop.icings.find((i) => i.id === answer.icingKindId)?.name.toLowerCase()
  return (
    <section aria-label={`Mix, in ${icing ?? answer.icingKindId}`}>
      <header className={css.detailHead}>
        <h2>
          Mix {weight(answer.grams)} <span className="quiet">in {icing ?? answer.icingKindId}</span>
        </h2>
        <SegmentedControl
          size="xs"
          aria-label="Dose by"
          value={by}
          onChange={(v) => setBy(v as typeof by)}
          data={[
            { value: 'drops', label: 'drops' },
            { value: 'weight', label: 'weight' },
          ]}
        />
      </header>
      <div className={css.petals}>
        <figure>
          <Petals hex={colour.hex} size={104} label={`Wanted: ${colour.hex}`} />
          <figcaption>wanted</figcaption>
        </figure>
        <figure>
          <Petals
            hex={answer.chosen.freshHex}
            size={104}
            label={`Freshly mixed: ${answer.chosen.freshHex}`}
          />
          <figcaption>stop here, fresh</figcaption>
        </figure>
        <figure>
          <Petals hex={answer.chosen.hex} size={104} label={`Once it has stood: ${answer.chosen.hex}`} />
          <figcaption>once it has stood</figcaption>
        </figure>
      </div>
      <Doses mix={answer.chosen} by={by} />
      <p className={css.terms}>
        <Term id="drop">a drop</Term> <Term id="speck">a speck</Term>
      </p>
      {answer.pretint && <Pretint pretint={answer.pretint} grams={answer.grams} />}
      {answer.chosen.doses.length > 0 && (
        <p className={css.first}>
          {answer.first === 0.5 ? 'Half of it first' : 'Seven tenths of it first'}, mix against the side of
          the bowl, look in daylight, then finish. From light to dark, never the other way round.
        </p>
      )}
      <div className={css.likely}>
        <Smear hexes={answer.chosen.likely.smear} height={26} label="What a hand is likely to get" />
        <p className="quiet">
          {likelyWords(answer.chosen)}{' '}
          {answer.chosen.doses.length > 0 && `The bottles are ${provenanceWords[answer.chosen.knownBy]}.`}
        </p>
      </div>
      {answer.reach && <Reach reach={answer.reach} nearest={answer.chosen.hex} change={change} />}
      {answer.warnings.map((w) => (
        <p key={w} className={css.warning}>
          {w}
        </p>
      ))}
      <OtherMixes mixes={answer.others} change={change} />
      {change && (
        <MultiSelect
          mt="sm"
          size="sm"
          label="Mix it only from"
          placeholder={colour.dyeIds ? undefined : 'any dye you own'}
          value={colour.dyeIds ?? []}
          maxValues={4}
          clearable
          onChange={(ids) => change({ dyeIds: ids.length > 0 ? ids : null }, 'dyes')}
          data={workshop.dyes.map((d) => ({
            value: d.id,
            label: d.owned ? d.name : `${d.name} (not owned)`,
          }))}
        />
      )}
      <div className={css.detailActions}>
        <Button onClick={() => setLooking(true)}>It came out like this…</Button>
        <Button component={Link} to={`../bowl?colour=${answer.colourId}&icing=${answer.icingKindId}`}>
          Show it at the bowl
        </Button>
      </div>
      {looking && <CameOut answer={answer} colour={colour} close={() => setLooking(false)} />}
    </section>
  )
}
