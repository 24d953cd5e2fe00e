import { Button, SegmentedControl } from '@mantine/core'
import { LABEL_SIZES, type LabelMedia, labelMediaSchema } from '#core/model/labels'
import { editSettings, useWorkshop } from '../../../data/workshop.ts'
import { NumberField } from '../../../parts/NumberField.tsx'
import css from './Prints.module.css'

const nameOf = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }) => `${widthMm} × ${heightMm} mm`

/** How large labels are and what they are printed on: a common size, or any in mm. */
export function LabelSize(props: {
  media: LabelMedia
  /** The printer takes rolls only. */
  fixedRoll: boolean
  onChange: (media: LabelMedia) => void
}) {
  const { media, fixedRoll, onChange } = props
  const { workshop } = useWorkshop()
  const usual = workshop?.settings.labels
  const isUsual = usual && nameOf(usual) === nameOf(media) && usual.on === media.on
  return (
    <div className={css.size}>
      <SegmentedControl
        aria-label="Size of a label"
        value={nameOf(media)}
        onChange={(name) => {
          const size = LABEL_SIZES.find((s) => nameOf(s) === name)
          if (size) onChange({ ...media, ...size })
        }}
        data={LABEL_SIZES.map(nameOf)}
      />
      <NumberField
        label="Wide"
        unit="mm"
        value={media.widthMm}
        schema={labelMediaSchema.shape.widthMm}
        onChange={(widthMm) => onChange({ ...media, widthMm })}
      />
      <NumberField
        label="High"
        unit="mm"
        value={media.heightMm}
        schema={labelMediaSchema.shape.heightMm}
        onChange={(heightMm) => onChange({ ...media, heightMm })}
      />
      {!fixedRoll && (
        <SegmentedControl
          aria-label="Labels on"
          value={media.on}
          onChange={(on) => onChange({ ...media, on: on as LabelMedia['on'] })}
          data={[
            { value: 'page', label: 'A4 page, to cut' },
            { value: 'roll', label: 'roll' },
          ]}
        />
      )}
      {!isUsual && (
        <Button onClick={() => editSettings((now) => ({ ...now, labels: media }))}>Keep as ours</Button>
      )}
    </div>
  )
}
