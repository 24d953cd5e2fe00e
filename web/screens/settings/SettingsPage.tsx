import { SegmentedControl, Switch } from '@mantine/core'
import { Link } from 'react-router'
import type { z } from 'zod'
import { ALLERGENS_HERE } from '#core/model/labels'
import { type Settings, settingsSchema } from '#core/model/workshop'
import { editSettings, reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { Card, PageHead } from '../../parts/Card.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { BackupCard } from './BackupCard.tsx'
import { DevicePictures } from './DevicePictures.tsx'
import css from './SettingsPage.module.css'

type NumberKey = {
  [K in keyof Settings]: Settings[K] extends number ? K : never
}[keyof Settings]

const figures: { key: NumberKey; label: string; unit?: string; why: string; step?: number }[] = [
  { key: 'scaleStepGrams', label: 'Kitchen scale step', unit: 'g', why: 'Bowls are rounded up to it.' },
  { key: 'bowlResidueGrams', label: 'Stays in a bowl', unit: 'g', why: 'However well it is scraped.' },
  {
    key: 'couplerResidueGrams',
    label: 'Stays in a coupler',
    unit: 'g',
    why: 'On top of what stays in the bag.',
  },
  {
    key: 'leastBagGrams',
    label: 'Least in a bag',
    unit: 'g',
    why: 'Less cannot be worked; the bag is topped up.',
  },
  { key: 'leastConeGrams', label: 'Least in a cone', unit: 'g', why: 'The same for a parchment cone.' },
  { key: 'handfulGrams', label: 'Most in one filling', unit: 'g', why: 'What your hand controls.' },
  { key: 'mixerGrams', label: 'Mixer takes', unit: 'g', why: 'More is made in several makes.' },
  { key: 'mixerResidueGrams', label: 'Stays in the mixer', unit: 'g', why: 'For each make.' },
  {
    key: 'bagMinutes',
    label: 'To fill a bag',
    unit: 'min',
    step: 0.5,
    why: 'Weighs a bag against tip changes.',
  },
  {
    key: 'changeMinutes',
    label: 'To change a tip',
    unit: 'min',
    step: 0.1,
    why: 'On a coupler, with a wipe.',
  },
  {
    key: 'refillMinutes',
    label: 'To fill it again',
    unit: 'min',
    step: 0.1,
    why: 'Each filling after the first.',
  },
  { key: 'couplerMinutes', label: 'To fit a coupler', unit: 'min', step: 0.1, why: 'Once for each bag.' },
  {
    key: 'washMinutes',
    label: 'To wash a tip',
    unit: 'min',
    step: 0.1,
    why: 'When it goes to a bag of another colour.',
  },
  {
    key: 'keptBagMinutes',
    label: 'To keep a bag aside',
    unit: 'min',
    step: 0.5,
    why: 'With one bowl, while it goes on to other colours.',
  },
  { key: 'makeMinutes', label: 'To make base icing', unit: 'min', step: 1, why: 'Hands, for each make.' },
  {
    key: 'bowlMinutes',
    label: 'To mix a portion',
    unit: 'min',
    step: 0.5,
    why: 'A colour at one stiffness, washing up included.',
  },
  {
    key: 'tintedOnMinutes',
    label: 'Tinted on saves',
    unit: 'min',
    step: 0.5,
    why: 'Of it, with one bowl that is not washed.',
  },
  {
    key: 'squareSeconds',
    label: 'A square on a nail',
    unit: 's',
    step: 1,
    why: 'On and off, for each flower.',
  },
  {
    key: 'minutesPerGram',
    label: 'A gram thrown away',
    unit: 'min',
    step: 0.01,
    why: 'What waste weighs against time.',
  },
  {
    key: 'liftSeconds',
    label: 'To lift a flower on',
    unit: 's',
    step: 1,
    why: 'From its square to its place.',
  },
  {
    key: 'wipeEveryStrokes',
    label: 'To wipe the tip at the bench',
    unit: 'strokes',
    step: 1,
    why: 'The run says when.',
  },
  {
    key: 'setOnSeconds',
    label: 'To put one thing on',
    unit: 's',
    step: 0.5,
    why: 'A sugar flower, a pearl, a pick.',
  },
  { key: 'hourlyRate', label: 'An hour of hands', step: 1, why: 'In your currency, for quotes.' },
  { key: 'cakeDensity', label: 'A millilitre of cake', unit: 'g', step: 0.01, why: 'What a tier weighs.' },
  { key: 'leastSupports', label: 'Supports in a tier', step: 1, why: 'Never fewer under another tier.' },
  {
    key: 'supportEveryMm',
    label: 'Width per support',
    unit: 'mm',
    step: 1,
    why: 'One for so much of the diameter above.',
  },
  {
    key: 'supportKg',
    label: 'Weight per support',
    unit: 'kg',
    step: 0.1,
    why: 'One for so much above; the larger number counts.',
  },
  {
    key: 'supportRingShare',
    label: 'Supports stand at',
    step: 0.05,
    why: 'Share of the radius above them.',
  },
  {
    key: 'hangMostPa',
    label: 'May pull at a side',
    unit: 'Pa',
    step: 10,
    why: 'Flowers that pull harder are kept off sides.',
  },
  {
    key: 'hangMostGrams',
    label: 'May hang on a side',
    unit: 'g',
    step: 0.5,
    why: 'Heavier flowers are kept off sides.',
  },
  { key: 'boardMarginMm', label: 'Board around a cake', unit: 'mm', step: 5, why: 'On every side.' },
  { key: 'lidClearMm', label: 'Air under the lid', unit: 'mm', step: 5, why: 'Over what stands highest.' },
]

/** How the bakery works: every figure a plan rests on that is not the order's. */
export function SettingsPage() {
  const { workshop, error } = useWorkshop()
  if (error && !workshop) return <Failed what="The settings" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the settings" />
  const { settings } = workshop
  const change = (part: Partial<Settings>) => editSettings((now) => ({ ...now, ...part }))
  return (
    <>
      <PageHead title="Settings" line="Saved by themselves; every plan follows at once" />
      <div className={css.columns}>
        <div className={css.stack}>
          <Card title="The bakery">
            <div className={css.form}>
              <TextField
                label="Name"
                value={settings.bakery}
                schema={settingsSchema.shape.bakery}
                onChange={(bakery) => change({ bakery })}
              />
              <TextField
                label="Currency sign"
                value={settings.currency}
                schema={settingsSchema.shape.currency}
                onChange={(currency) => change({ currency })}
              />
              <Choice
                label="Weights in"
                value={settings.units}
                onChange={(units) => change({ units: units as Settings['units'] })}
                data={['grams', 'ounces']}
              />
              <Choice
                label="Lengths in"
                value={settings.lengths}
                onChange={(lengths) => change({ lengths: lengths as Settings['lengths'] })}
                data={['millimetres', 'inches']}
              />
              <Choice
                label="Piping hand"
                value={settings.hand}
                onChange={(hand) => change({ hand: hand as Settings['hand'] })}
                data={['right', 'left']}
              />
              <Choice
                label="Room"
                value={settings.theme}
                onChange={(theme) => change({ theme: theme as Settings['theme'] })}
                data={['light', 'dark']}
              />
              <Choice
                label="Clock"
                value={settings.clock}
                onChange={(clock) => change({ clock: clock as Settings['clock'] })}
                data={[
                  { value: 'browser', label: 'as the browser' },
                  { value: '24', label: '14:00' },
                  { value: '12', label: '2:00 pm' },
                ]}
              />
              <Choice
                label="Weeks begin on"
                value={settings.firstDay}
                onChange={(firstDay) => change({ firstDay: firstDay as Settings['firstDay'] })}
                data={[
                  { value: 'browser', label: 'as the browser' },
                  { value: 'monday', label: 'Mon' },
                  { value: 'saturday', label: 'Sat' },
                  { value: 'sunday', label: 'Sun' },
                ]}
              />
              <Choice
                label="Under an upper tier"
                value={settings.underUpper}
                onChange={(under) => change({ underUpper: under as Settings['underUpper'] })}
                data={[
                  { value: 'none', label: 'bare' },
                  { value: 'crumb', label: 'crumb coat' },
                  { value: 'full', label: 'both coats' },
                ]}
              />
              <Switch
                label="Larger type"
                checked={settings.largeType}
                onChange={(e) => change({ largeType: e.currentTarget.checked })}
              />
              <DevicePictures />
            </div>
          </Card>
          <Card title="What box labels say" aside="as the rules where you sell want it">
            <div className={css.words}>
              <TextField
                label={`Contents; ${ALLERGENS_HERE} stands for what the icing contains`}
                multiline
                value={settings.boxWords}
                schema={settingsSchema.shape.boxWords}
                onChange={(boxWords) => change({ boxWords })}
              />
              <TextField
                label="Keeping"
                multiline
                value={settings.keepWords}
                schema={settingsSchema.shape.keepWords}
                onChange={(keepWords) => change({ keepWords })}
              />
            </div>
          </Card>
          <BackupCard bakery={settings.bakery} />
        </div>
        <Card title="What the plans rest on" aside="starting figures: put in your own as you learn them">
          <div className={css.figures}>
            {figures.map(({ key, label, unit, why, step }) => (
              <div key={key} className={css.line}>
                <NumberField
                  label={label}
                  unit={unit}
                  step={step}
                  value={settings[key]}
                  schema={settingsSchema.shape[key] as z.ZodType<number>}
                  onChange={(value) => change({ [key]: value })}
                />
                <span className="quiet">{why}</span>
              </div>
            ))}
          </div>
          <p className="quiet">
            Hands, opening hours, rests and shelves stand with <Link to="/week/limits">the week</Link>, how
            icing flows with <Link to="/settings/practice">practice</Link>.
          </p>
        </Card>
      </div>
    </>
  )
}

function Choice(props: {
  label: string
  value: string
  onChange: (value: string) => void
  data: (string | { value: string; label: string })[]
}) {
  return (
    <div>
      <span className="fieldLabel">{props.label}</span>
      <SegmentedControl
        fullWidth
        aria-label={props.label}
        value={props.value}
        onChange={props.onChange}
        data={props.data}
      />
    </div>
  )
}
