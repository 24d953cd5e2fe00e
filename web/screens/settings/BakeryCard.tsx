import { SegmentedControl, Switch } from '@mantine/core'
import { type Settings, settingsSchema } from '#core/model/workshop'
import { Card } from '../../parts/Card.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { DevicePictures } from './DevicePictures.tsx'
import css from './SettingsPage.module.css'

/** The bakery's name, its units, hand and room. */
export function BakeryCard(props: { settings: Settings; change: (part: Partial<Settings>) => void }) {
  const { settings, change } = props
  return (
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
