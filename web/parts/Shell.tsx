import { NavLink, Outlet } from 'react-router'
import { useWorkshop } from '../data/workshop.ts'
import css from './Shell.module.css'

const places = [
  ['/orders', 'Orders'],
  ['/flowers', 'Flowers'],
  ['/drawer', 'Drawer'],
] as const

/** The bar across every desk screen, and the room below it. */
export function Shell() {
  const settings = useWorkshop().workshop?.settings
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
        <NavLink to="/settings" className={`${css.place} ${css.bakery}`}>
          {settings ? `${settings.bakery} · ${settings.units} · ${settings.hand} hand` : 'Settings'}
        </NavLink>
      </header>
      <main id="main" className={css.room} tabIndex={-1}>
        <Outlet />
      </main>
    </>
  )
}
