import { ActionIcon, Button, Menu, MultiSelect, SegmentedControl } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useState } from 'react'
import { Link } from 'react-router'
import type { BowlAnswer, ShownMix } from '#core/colour/bowl'
import { likelyWords, provenanceWords } from '#core/colour/likely'
import { nameSchema } from '#core/common'
import type { OrderColour } from '#core/model/order'
import { replaceColour } from '#core/plan/remedies'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Petals, Smear } from '../../../drawings/Petal.tsx'
import { Card } from '../../../parts/Card.tsx'
import { HexInput } from '../../../parts/HexInput.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { useParts, useWeight } from '../../../parts/weight.tsx'
import { CameOut } from './CameOut.tsx'
import css from './Colours.module.css'
import { wearersOf } from './wearersOf.ts'

/** One colour: wished for, mixed, likely; its drops, other ways, and what to do when it came out otherwise. */
export function ColourDetail(props: {
  colour: OrderColour
  editable: boolean
  answers: readonly BowlAnswer[]
}) {
  const { colour, editable, answers } = props
  const { order, plan, workshop, edit } = useOrderEditor()
  const weight = useWeight()
  const [by, setBy] = useState<'drops' | 'weight'>('drops')
  const [looking, setLooking] = useState<BowlAnswer | null>(null)
  const wearers = wearersOf(plan, colour.id)
  const others = order.colours.filter((c) => c.id !== colour.id)
  const change = (part: Partial<OrderColour>, label: string) =>
    edit(
      label,
      (o) => ({ ...o, colours: o.colours.map((c) => (c.id === colour.id ? { ...c, ...part } : c)) }),
      `colour ${colour.id} ${label}`,
    )
  const icingName = (id: string) => workshop.icings.find((i) => i.id === id)?.name.toLowerCase() ?? id

  return (
    <aside className={css.detail}>
      <Card
        title={editable ? 'The wish' : colour.name}
        actions={
          editable && (
            <Menu position="bottom-end">
              <Menu.Target>
                <ActionIcon aria-label={`More for ${colour.name}`}>
                  <IconDots size={18} stroke={1.6} />
                </ActionIcon>
              </Menu.Target>
              <Menu.Dropdown>
                {wearers.length === 0 && (
                  <Menu.Item
                    onClick={() =>
                      edit('remove a colour', (o) => ({
                        ...o,
                        colours: o.colours.filter((c) => c.id !== colour.id),
                      }))
                    }
                  >
                    Remove
                  </Menu.Item>
                )}
                {wearers.length > 0 && others.length > 0 && (
                  <Menu.Label>Use another colour instead</Menu.Label>
                )}
                {wearers.length > 0 &&
                  others.map((other) => (
                    <Menu.Item
                      key={other.id}
                      onClick={() => edit('merge colours', (o) => replaceColour(o, colour.id, other.id))}
                    >
                      {other.name}
                    </Menu.Item>
                  ))}
              </Menu.Dropdown>
            </Menu>
          )
        }
      >
        {editable && (
          <div className={css.wishFields}>
            <TextField
              label="Name"
              value={colour.name}
              schema={nameSchema}
              onChange={(name) => change({ name }, 'name')}
            />
            <HexInput
              label="Colour wanted"
              value={colour.hex}
              onChange={(hex) => change({ hex }, 'colour')}
            />
          </div>
        )}
        <ul className={css.wearers}>
          {wearers.length === 0 && <li>nothing wears it yet</li>}
          {wearers.map((w) => (
            <li key={w.name}>
              <span>{w.name}</span> <span>{weight(w.grams)}</span>
            </li>
          ))}
        </ul>
      </Card>
      {answers.map((answer) => (
        <Card
          key={answer.icingKindId}
          title={`Mix ${weight(answer.grams)}`}
          aside={`in ${icingName(answer.icingKindId)}`}
          actions={
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
          }
        >
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
          {answer.pretint && <Pretint pretint={answer.pretint} grams={answer.grams} />}
          {answer.chosen.doses.length > 0 && (
            <p className={css.first}>
              {answer.first === 0.5 ? 'Half of it first' : 'Seven tenths of it first'}, mix against the side
              of the bowl, look in daylight, then finish. From light to dark, never the other way round.
            </p>
          )}
          <div className={css.likely}>
            <Smear hexes={answer.chosen.likely.smear} height={26} label="What a hand is likely to get" />
            <p className="quiet">
              {likelyWords(answer.chosen)}{' '}
              {answer.chosen.doses.length > 0 && `The bottles are ${provenanceWords[answer.chosen.knownBy]}.`}
            </p>
          </div>
          {answer.reach && (
            <div className={css.reach}>
              <p>
                <strong>This is the nearest.</strong> {answer.reach.words}
              </p>
              {answer.reach.icings.map((i) => (
                <p key={i.id} className={css.option}>
                  <span className={css.chip} style={{ background: i.hex }} /> {i.name}: {i.words}
                </p>
              ))}
              {answer.reach.dye && (
                <p className={css.option}>
                  <span className={css.chip} style={{ background: answer.reach.dye.hex }} /> with a bottle of{' '}
                  {answer.reach.dye.name.toLowerCase()}, which you do not have
                </p>
              )}
              {editable && (
                <Button size="compact-sm" onClick={() => change({ hex: answer.chosen.hex }, 'nearest')}>
                  Wish for the nearest
                </Button>
              )}
            </div>
          )}
          {answer.warnings.map((w) => (
            <p key={w} className={css.warning}>
              {w}
            </p>
          ))}
          {answer.others.length > 0 && (
            <>
              <h3 className={css.subhead}>Other ways</h3>
              <ul className={css.others}>
                {answer.others.map((mix) => (
                  <li key={mix.doses.map((d) => d.dyeId).join()}>
                    <span className={css.chip} style={{ background: mix.hex }} />
                    <span>
                      {mix.doses.map((d) => `${d.words} ${d.name.toLowerCase()}`).join(', ') || 'no dye'}
                      <span className="quiet"> · {mix.words}</span>
                    </span>
                    {editable && (
                      <Button
                        size="compact-xs"
                        onClick={() => change({ dyeIds: mix.doses.map((d) => d.dyeId) }, 'dyes')}
                      >
                        Take
                      </Button>
                    )}
                  </li>
                ))}
              </ul>
            </>
          )}
          {editable && (
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
            <Button onClick={() => setLooking(answer)}>It came out like this…</Button>
            <Button component={Link} to={`../bowl?colour=${answer.colourId}&icing=${answer.icingKindId}`}>
              Show it at the bowl
            </Button>
          </div>
        </Card>
      ))}
      {looking && <CameOut answer={looking} colour={colour} close={() => setLooking(null)} />}
    </aside>
  )
}

/** A strong tint stirred in by weight: for bowls in which a speck is too much. */
function Pretint({ pretint, grams }: { pretint: NonNullable<BowlAnswer['pretint']>; grams: number }) {
  const weight = useWeight()
  const { tintGrams, takeGrams, plainGrams, mix } = pretint
  const [taken, plain] = useParts()([takeGrams, plainGrams]).parts
  return (
    <section className={css.pretint} aria-label="By a strong tint">
      <p>
        <strong>Nearer by a strong tint:</strong> {likelyWords(mix)} A speck is much in {weight(grams)}.
      </p>
      <p>
        Tint {weight(tintGrams)} of icing with{' '}
        {mix.doses.map((d) => `${d.words} ${d.name.toLowerCase()}`).join(', ')}; stir {taken} of it into{' '}
        {plain} of plain icing.
      </p>
    </section>
  )
}

function Doses({ mix, by }: { mix: ShownMix; by: 'drops' | 'weight' }) {
  if (mix.doses.length === 0) return <p className={css.doses}>No dye: the icing as it is.</p>
  return (
    <ul className={css.doses}>
      {mix.doses.map((d) => (
        <li key={d.dyeId}>
          <span className="figure">{by === 'drops' ? d.words : `${d.grams.toFixed(2)} g`}</span>
          <span>{d.name}</span>
        </li>
      ))}
    </ul>
  )
}
