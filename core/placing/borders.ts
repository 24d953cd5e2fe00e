import type { Chart, Course } from '../surfaces/chart.ts'

/** One unit of a border: where it stands, and which way it runs, mm. */
export interface BorderUnit {
  x: number
  y: number
  z: number
  /** The way along the edge, radians from x. */
  angle: number
}

/**
 * The units of a border along an edge, begun at the back and going round with the clock, the distance between them evened out so
 * that the last meets the first. On a rim they stand within it, at a foot in front of it.
 */
export function borderUnits(
  chart: Chart,
  id: Course['id'],
  tier: number,
  pitchMm: number,
  wideMm: number,
): BorderUnit[] {
  const courses = chart.courses.filter((c) => c.id === id && c.tier === tier)
  return (courses.length > 0 ? courses : chart.courses.slice(0, 1)).flatMap((course) =>
    unitsAlong(course, pitchMm, wideMm),
  )
}

function unitsAlong(course: Course, pitchMm: number, wideMm: number): BorderUnit[] {
  const count = Math.max(1, Math.round(course.lengthMm / pitchMm))
  const step = course.lengthMm / count
  const aside = ((course.id === 'foot' ? 1 : -1) * wideMm) / 2
  const { z } = course.at(0)
  return Array.from({ length: count }, (_, i) => {
    const [p, before, after] = [course.at(i * step), course.at(i * step - 0.5), course.at(i * step + 0.5)]
    const away = Math.hypot(after.x - before.x, after.y - before.y) || 1
    const [tx, ty] = [(after.x - before.x) / away, (after.y - before.y) / away]
    // gone round with the clock, outward is to the left
    return { x: p.x - ty * aside, y: p.y + tx * aside, z, angle: Math.atan2(ty, tx) }
  })
}
