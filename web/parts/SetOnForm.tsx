import { Checkbox, Group, Modal, MultiSelect, Select } from '@mantine/core'
import { type Allergen, allergenSchema, allergenWords } from '#core/common'
import { isStrewn, type SetOn, type SetOnKind, setOnKinds, setOnSchema, setOnWords } from '#core/model/setOn'
import { HexInput } from './HexInput.tsx'
import { LengthField } from './length.tsx'
import { NumberField, OptionalNumberField } from './NumberField.tsx'
import css from './SetOnForm.module.css'
import { TextField } from './TextField.tsx'

const fields = setOnSchema.shape
const upper = (words: string) => words[0]!.toUpperCase() + words.slice(1)

/** Everything about one thing that is put on and not piped. */
export function SetOnForm(props: {
  thing: SetOn | null
  currency: string
  close: () => void
  onChange: (part: Partial<SetOn>) => void
}) {
  const { thing, currency, close, onChange } = props
  return (
    <Modal
      opened={thing !== null}
      onClose={close}
      size={640}
      title={thing?.name ?? ''}
      closeButtonProps={{ 'aria-label': 'Done' }}
    >
      {thing && <Fields {...{ thing, currency, onChange }} />}
    </Modal>
  )
}

function Fields(props: { thing: SetOn; currency: string; onChange: (part: Partial<SetOn>) => void }) {
  const { thing, currency, onChange } = props
  const strewn = isStrewn(thing.kind)
  return (
    <div className={css.form}>
      <TextField
        label="Name"
        value={thing.name}
        schema={fields.name}
        onChange={(name) => onChange({ name })}
      />
      <Select
        label="What it is"
        value={thing.kind}
        data={setOnKinds.map((kind) => ({ value: kind, label: upper(setOnWords[kind]) }))}
        onChange={(kind) => kind && onChange({ kind: kind as SetOnKind })}
      />
      {!strewn && (
        <>
          <LengthField
            label="Across"
            decimals={1}
            value={thing.widthMm}
            schema={fields.widthMm}
            onChange={(widthMm) => onChange({ widthMm })}
          />
          <LengthField
            label="Stands up by"
            decimals={1}
            value={thing.heightMm}
            schema={fields.heightMm}
            onChange={(heightMm) => onChange({ heightMm })}
          />
          <NumberField
            label="One weighs"
            unit="g"
            decimals={2}
            value={thing.grams}
            schema={fields.grams}
            onChange={(grams) => onChange({ grams })}
          />
        </>
      )}
      <NumberField
        label={strewn ? 'A gram costs' : 'One costs'}
        unit={currency}
        decimals={2}
        value={thing.cost}
        schema={fields.cost}
        onChange={(cost) => onChange({ cost })}
      />
      <OptionalNumberField
        label="On hand"
        unit={strewn ? 'g' : undefined}
        value={thing.owned}
        schema={fields.owned.unwrap().unwrap()}
        onChange={(owned) => onChange({ owned })}
      />
      <HexInput label="Colour" value={thing.hex} onChange={(hex) => onChange({ hex })} />
      <Select
        label="By its label"
        value={thing.edible}
        data={[
          { value: 'yes', label: 'Edible' },
          { value: 'no', label: 'Not food' },
          { value: 'unread', label: 'Nobody has read it yet' },
        ]}
        onChange={(edible) => edible && onChange({ edible: edible as SetOn['edible'] })}
      />
      <Select
        label="Goes on"
        value={thing.when}
        data={[
          { value: 'wet', label: 'While the icing is wet' },
          { value: 'last', label: 'When all else is done' },
        ]}
        onChange={(when) => when && onChange({ when: when as SetOn['when'] })}
      />
      <NumberField
        label="Made before collection"
        unit="days"
        value={thing.daysAhead}
        schema={fields.daysAhead.unwrap()}
        onChange={(daysAhead) => onChange({ daysAhead })}
      />
      <MultiSelect
        label="Contains"
        value={thing.allergens}
        data={allergenSchema.options.map((a) => ({ value: a, label: allergenWords[a] }))}
        onChange={(allergens) => onChange({ allergens: allergens as Allergen[] })}
      />
      <div className={css.wide}>
        <TextField
          label="What its label says, word for word"
          value={thing.labelWords}
          schema={fields.labelWords.unwrap()}
          onChange={(labelWords) => onChange({ labelWords })}
        />
      </div>
      <Group className={css.wide}>
        <Checkbox
          label="Small and hard: a child could choke on it"
          checked={thing.smallHard}
          onChange={(e) => onChange({ smallHard: e.currentTarget.checked })}
        />
      </Group>
      <p className={`${css.wide} quiet`}>
        Only what is labelled edible goes on food; “non-toxic” is not the same. Your local rules decide.
      </p>
    </div>
  )
}
