import { scale, scaleDrivers } from './scaleStore.ts'

/** The scales that this browser can listen to. */
export function ChooseScale() {
  return scaleDrivers
    .filter((d) => d.isHere())
    .map((driver) => (
      <button key={driver.id} type="button" onClick={() => void scale.open(driver)}>
        {driver.name}
      </button>
    ))
}
