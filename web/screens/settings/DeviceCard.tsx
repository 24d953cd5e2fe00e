import { SegmentedControl } from '@mantine/core'
import { Card } from '../../parts/Card.tsx'
import { type Pictures, usePictures } from '../../parts/pictures.ts'

/** What is settled for one device and not for the bakery. */
export function DeviceCard() {
  const [pictures, setPictures] = usePictures()
  return (
    <Card title="This device">
      <span className="fieldLabel">Pictures on this device</span>
      <SegmentedControl
        fullWidth
        aria-label="Pictures on this device"
        value={pictures}
        onChange={(value) => setPictures(value as Pictures)}
        data={[
          { value: 'fine', label: 'fine' },
          { value: 'quick', label: 'quick' },
        ]}
      />
      <p className="quiet">
        Quick ones are for a slow tablet: solids are coarser, flowers of the library are drawn from above.
      </p>
    </Card>
  )
}
