import { NavLink, Outlet, useLocation, useNavigation } from 'react-router'
import { usePassphraseNeeded } from '../data/session.ts'
import { useWorkshop } from '../data/workshop.ts'
import { Find } from '../palette/Find.tsx'
import { later } from './later.tsx'
import css from './Shell.module.css'
import { WorkshopSaving } from './WorkshopSaving.tsx'

// most bakeries ask for none
const SignIn = later(
  async () => (await import('./SignIn.tsx')).SignIn,
  ({ opened }) => opened,
)

const places = [
  ['/orders', 'Orders'],
  ['/week', 'Week'],
  ['/flowers', 'Flowers'],
  ['/drawer', 'Drawer'],
  ['/logbook', 'Logbook'],
] as const

/** The bar across every desk screen, and the room below it. */
export function Shell() {
  const { workshop, unreadable } = useWorkshop()
  const settings = workshop?.settings
  const opening = useNavigation().state !== 'idle'
  const { pathname } = useLocation()
  const locked = usePassphraseNeeded()
  return (
    <>
      <a href="#main" className={css.skip}>
        Skip to the page
      </a>
      <header className={css.bar}>
        <span className={css.name}>Kanten</span>
        <nav aria-label="Main" className={css.places}>
          {places.map(([to, label]) => (
            <NavLink key={to} to={to} className={css.place}>
              {label}
            </NavLink>
          ))}
        </nav>
        <Find />
        <WorkshopSaving />
        <NavLink to="/settings" className={css.place}>
          {settings ? (
            <>
              {settings.bakery}
              <span className={css.more}>
                {' '}
                · {settings.units} · {settings.hand} hand
              </span>
            </>
          ) : (
            'Settings'
          )}
        </NavLink>
      </header>
      <main id="main" className={css.room} tabIndex={-1} aria-busy={opening} data-at={pathname}>
        {unreadable.length > 0 && (
          <p role="alert" className={css.unreadable}>
            {unreadable
              .map((row) => `The stored ${row.kind} “${row.id}” cannot be read (${row.why}).`)
              .join(' ')}{' '}
            Everything else works; what cannot be read is kept and goes into every backup.
          </p>
        )}
        <Outlet />
      </main>
      <SignIn opened={locked} />
    </>
  )
}
