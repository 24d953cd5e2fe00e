import type { Flower } from '../../model/flower.ts'
import { anemone } from './anemone.ts'
import { beadBorder } from './beadBorder.ts'
import { blossom } from './blossom.ts'
import { chrysanthemum } from './chrysanthemum.ts'
import { dahlia } from './dahlia.ts'
import { daisy } from './daisy.ts'
import { dotBorder } from './dotBorder.ts'
import { hellebore } from './hellebore.ts'
import { leafCluster } from './leafCluster.ts'
import { leafSingle } from './leafSingle.ts'
import { narcissus } from './narcissus.ts'
import { nigella } from './nigella.ts'
import { ranunculus } from './ranunculus.ts'
import { rose } from './rose.ts'
import { rosette } from './rosette.ts'
import { ruffleBloom } from './ruffleBloom.ts'
import { scabious } from './scabious.ts'
import { seedHead } from './seedHead.ts'
import { shellBorder } from './shellBorder.ts'
import { sweetPea } from './sweetPea.ts'
import { swirl } from './swirl.ts'
import { thrift } from './thrift.ts'
import { vineWithBuds } from './vineWithBuds.ts'

/** The library: flowers first, then fillers, leaves and lines, then borders. */
export const catalogueFlowers: readonly Flower[] = [
  rose,
  blossom,
  ranunculus,
  chrysanthemum,
  dahlia,
  ruffleBloom,
  narcissus,
  daisy,
  hellebore,
  scabious,
  anemone,
  nigella,
  thrift,
  sweetPea,
  seedHead,
  rosette,
  swirl,
  leafSingle,
  leafCluster,
  vineWithBuds,
  shellBorder,
  beadBorder,
  dotBorder,
]
