import css from './Swatch.module.css'

/** A dab of icing colour; `size` in px. Always beside the colour's name. */
export function Dab(props: { hex: string; size?: number }) {
  const size = props.size ?? 16
  return (
    <span
      className={css.dab}
      style={{ background: props.hex, width: size, height: size }}
      aria-hidden="true"
    />
  )
}

/** A dab with its name. */
export function NamedDab(props: { hex: string; name: string }) {
  return (
    <span className={css.named}>
      <Dab hex={props.hex} /> {props.name}
    </span>
  )
}
