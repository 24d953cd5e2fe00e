import { useInViewport } from '@mantine/hooks'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { sizeWords } from '#core/flowers/sizeWords'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { FlowerPicture } from '../../drawings/FlowerPicture.tsx'
import { usePicture } from '../../workers/flowers.ts'
import { useThumbnail } from '../../workers/thumbnails.ts'
import css from './FlowerTile.module.css'

const own = { sizeMm: null, tips: {} }

/** A flower in its library colours, with its size; a link to its page, or a button when `onClick` is given. */
export function FlowerTile(props: { flower: Flower; workshop: Workshop; onClick?: () => void }) {
  const { flower, workshop, onClick } = props
  const { picture } = usePicture(flower, own, workshop)
  const colours = useMemo(() => Object.fromEntries(flower.roles.map((r) => [r.id, r.hex])), [flower.roles])
  const { ref, inViewport } = useInViewport<HTMLSpanElement>()
  const thumbnail = useThumbnail(picture, colours, inViewport)
  const inside = (
    <>
      <span className={css.picture} ref={ref}>
        {thumbnail ? (
          <img src={thumbnail} alt={flower.name} className={css.solid} />
        ) : (
          picture && (
            <FlowerPicture shapes={picture.shapes} colours={colours} size={170} fluid label={flower.name} />
          )
        )}
      </span>
      <span className={css.name}>{flower.name}</span>
      <span className={css.words}>
        {picture ? `${sizeWords(picture.measure, workshop.settings.lengths)}, ` : ''}
        {flower.setting === 'nail' ? 'on a nail' : 'in place'}
      </span>
    </>
  )
  return onClick ? (
    <button type="button" className={css.tile} onClick={onClick} aria-label={`Add ${flower.name}`}>
      {inside}
    </button>
  ) : (
    <Link to={`/flowers/${flower.id}`} className={css.tile}>
      {inside}
    </Link>
  )
}
