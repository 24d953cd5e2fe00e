import { memo } from 'react'
import { NavLink } from 'react-router'
import css from './PartLinks.module.css'

/** The parts of a screen, each with an address of its own. */
export function PartLinks({
  label,
  parts,
}: {
  label: string
  parts: { to: string; end: boolean; name: string }[]
}) {
  return (
    <nav aria-label={label} className={css.parts}>
      {parts.map((part) => (
        <PartLink key={part.to} {...part} />
      ))}
    </nav>
  )
}

const PartLink = memo(function PartLink({ to, end, name }: { to: string; end: boolean; name: string }) {
  return (
    <NavLink to={to} end={end} className={css.part}>
      {name}
    </NavLink>
  )
})
