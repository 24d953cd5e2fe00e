import { ActionIcon, Button, MultiSelect } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import { z } from 'zod'
import { type Allergen, allergenSchema, allergenWords, nameSchema, stiffnesses } from '#core/common'
import { timesOf } from '#core/icings/times'
import {
  type IcingKind,
  type IcingTimes,
  icingKindSchema,
  icingTimesSchema,
  ingredientSchema,
} from '#core/model/icing'
import { editIcing } from '../../data/workshop.ts'
import { HexInput } from '../../parts/HexInput.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { TextField } from '../../parts/TextField.tsx'
import css from './Drawer.module.css'

const shape = icingKindSchema.shape
const liquidSchema = shape.liquidPer100.valueType
const newIngredient: IcingKind['ingredients'][number] = {
  name: 'New ingredient',
  parts: 1,
  allergens: [],
  packGrams: 1000,
  pricePerPack: 0,
  cupGrams: null,
}
/** What the timetable rests on; until somebody types one of them, all are those of its sort. */
const times: { key: keyof IcingTimes; label: string }[] = [
  { key: 'coatMinutes', label: 'A coat sets in' },
  { key: 'smallMinutes', label: 'Small flowers firm in' },
  { key: 'largeMinutes', label: 'Large ones in' },
  { key: 'bagMinutes', label: 'Good in a bag for' },
  { key: 'outMinutes', label: 'Out of the cold for' },
]
/** Deepening is typed in percent and stored as a share. */
const percentSchema = z.number().min(0, 'At least 0 %.').max(100, 'At most 100 %.')

type Change = (part: Partial<IcingKind> | ((now: IcingKind) => Partial<IcingKind>)) => void

/** An icing kind of our own: its figures and its recipe. */
export function IcingForm({ icing }: { icing: IcingKind }) {
  const change: Change = (part) =>
    editIcing(icing.id, (now) => ({ ...now, ...(typeof part === 'function' ? part(now) : part) }))
  return (
    <>
      <div className={css.fields}>
        <TextField
          label="Name"
          value={icing.name}
          schema={nameSchema}
          onChange={(name) => change({ name })}
        />
        <NumberField
          label="Weight"
          unit="g/ml"
          step={0.01}
          width={130}
          value={icing.density}
          schema={shape.density}
          onChange={(density) => change({ density })}
        />
        <NumberField
          label="Icing from 100 g"
          unit="g"
          width={140}
          value={icing.yieldPercent}
          schema={shape.yieldPercent.unwrap()}
          onChange={(yieldPercent) => change({ yieldPercent })}
        />
        <HexInput
          label="Colour without dye"
          width={150}
          value={icing.baseHex}
          onChange={(baseHex) => change({ baseHex })}
        />
        <NumberField
          label="Whitens dye"
          step={0.05}
          width={110}
          value={icing.scatter}
          schema={shape.scatter.unwrap()}
          onChange={(scatter) => change({ scatter })}
        />
        <NumberField
          label="Deepens by"
          unit="%"
          width={110}
          value={Math.round(icing.deepens * 100)}
          schema={percentSchema}
          onChange={(percent) => change({ deepens: percent / 100 })}
        />
        {stiffnesses.map((s) => (
          <NumberField
            key={s}
            label={`Liquid, ${s}`}
            unit="g"
            step={0.5}
            width={110}
            value={icing.liquidPer100[s]}
            schema={liquidSchema}
            onChange={(grams) => change((now) => ({ liquidPer100: { ...now.liquidPer100, [s]: grams } }))}
          />
        ))}
        {times.map(({ key, label }) => (
          <NumberField
            key={key}
            label={label}
            unit="min"
            step={5}
            width={130}
            value={timesOf(icing)[key]}
            schema={icingTimesSchema.shape[key]}
            onChange={(minutes) => change((now) => ({ times: { ...timesOf(now), [key]: minutes } }))}
          />
        ))}
      </div>
      <Recipe icing={icing} change={change} />
    </>
  )
}

function Recipe({ icing, change }: { icing: IcingKind; change: Change }) {
  const changeIngredient = (at: number, part: Partial<IcingKind['ingredients'][number]>) =>
    change((now) => ({ ingredients: now.ingredients.map((i, k) => (k === at ? { ...i, ...part } : i)) }))
  return (
    <div className={css.recipe}>
      {icing.ingredients.map((ingredient, i) => (
        // ingredients are known by their place: two may share a name while one is typed
        // biome-ignore lint/suspicious/noArrayIndexKey: see above
        <div key={i} className={css.ingredient}>
          <TextField
            label="Ingredient"
            value={ingredient.name}
            schema={nameSchema}
            onChange={(name) => changeIngredient(i, { name })}
          />
          <NumberField
            label="Parts"
            value={ingredient.parts}
            schema={ingredientSchema.shape.parts}
            onChange={(parts) => changeIngredient(i, { parts })}
          />
          <NumberField
            label="Pack"
            unit="g"
            value={ingredient.packGrams}
            schema={ingredientSchema.shape.packGrams}
            onChange={(packGrams) => changeIngredient(i, { packGrams })}
          />
          <NumberField
            label="Price of a pack"
            step={0.1}
            value={ingredient.pricePerPack}
            schema={ingredientSchema.shape.pricePerPack.unwrap()}
            onChange={(pricePerPack) => changeIngredient(i, { pricePerPack })}
          />
          <MultiSelect
            label="Allergens"
            value={ingredient.allergens}
            onChange={(allergens) => changeIngredient(i, { allergens: allergens as Allergen[] })}
            data={allergenSchema.options.map((a) => ({ value: a, label: allergenWords[a] }))}
          />
          <ActionIcon
            aria-label={`Take ${ingredient.name} out`}
            disabled={icing.ingredients.length === 1}
            onClick={() => change((now) => ({ ingredients: now.ingredients.filter((_, k) => k !== i) }))}
          >
            <IconX size={18} />
          </ActionIcon>
        </div>
      ))}
      <div>
        <Button onClick={() => change((now) => ({ ingredients: [...now.ingredients, newIngredient] }))}>
          Add an ingredient
        </Button>
      </div>
    </div>
  )
}
