import { Outlet } from 'react-router'
import { PartLinks } from '../../../parts/PartLinks.tsx'

const PARTS = [
  { to: '.', end: true, name: 'Work' },
  { to: 'practice', end: false, name: 'Practice' },
  { to: 'prints', end: false, name: 'Prints' },
]

/** The parts of the bench: the work itself, practice before it, and what is printed for it. */
export function BenchFrame() {
  return (
    <>
      <PartLinks label="Parts of the bench" parts={PARTS} />
      <Outlet />
    </>
  )
}
