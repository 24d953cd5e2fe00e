import { SegmentedControl } from '@mantine/core'
import { type Pictures, usePictures } from '../../parts/pictures.ts'

/** How pictures are drawn here: settled for one device and not for the bakery. */
export function DevicePictures() {
  const [pictures, setPictures] = usePictures()
  return (
    <div>
      <span className="fieldLabel">Pictures on this device (quick for a slow tablet)</span>
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
    </div>
  )
}
