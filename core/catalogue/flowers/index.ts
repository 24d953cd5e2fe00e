import type { Flower } from '../../model/flower.ts'
import { agave } from './agave.ts'
import { anemone } from './anemone.ts'
import { aster } from './aster.ts'
import { ballCactus } from './ballCactus.ts'
import { basketweave } from './basketweave.ts'
import { beadBorder } from './beadBorder.ts'
import { berrySprig } from './berrySprig.ts'
import { blossom } from './blossom.ts'
import { budOnStem } from './budOnStem.ts'
import { cabbageBloom } from './cabbageBloom.ts'
import { camellia } from './camellia.ts'
import { carnation } from './carnation.ts'
import { cherryBlossom } from './cherryBlossom.ts'
import { chrysanthemum } from './chrysanthemum.ts'
import { climbingRose } from './climbingRose.ts'
import { commaLeaves } from './commaLeaves.ts'
import { cosmos } from './cosmos.ts'
import { dahlia } from './dahlia.ts'
import { daisy } from './daisy.ts'
import { dotBlossom } from './dotBlossom.ts'
import { dotBorder } from './dotBorder.ts'
import { dropBorder } from './dropBorder.ts'
import { dropCluster } from './dropCluster.ts'
import { dropStarFlower } from './dropStarFlower.ts'
import { fern } from './fern.ts'
import { floodedDisc } from './floodedDisc.ts'
import { footedBlossom } from './footedBlossom.ts'
import { forgetMeNot } from './forgetMeNot.ts'
import { funnelLily } from './funnelLily.ts'
import { gerbera } from './gerbera.ts'
import { grassTuft } from './grassTuft.ts'
import { halfRose } from './halfRose.ts'
import { heartBloom } from './heartBloom.ts'
import { hellebore } from './hellebore.ts'
import { hydrangea } from './hydrangea.ts'
import { lavender } from './lavender.ts'
import { leafCluster } from './leafCluster.ts'
import { leafSingle } from './leafSingle.ts'
import { leafySprig } from './leafySprig.ts'
import { lilac } from './lilac.ts'
import { lilyOfTheValley } from './lilyOfTheValley.ts'
import { magnolia } from './magnolia.ts'
import { narcissus } from './narcissus.ts'
import { nigella } from './nigella.ts'
import { notchedBlossom } from './notchedBlossom.ts'
import { pansy } from './pansy.ts'
import { peony } from './peony.ts'
import { petalLeaf } from './petalLeaf.ts'
import { poinsettia } from './poinsettia.ts'
import { poppy } from './poppy.ts'
import { primrose } from './primrose.ts'
import { quarteredRose } from './quarteredRose.ts'
import { raceme } from './raceme.ts'
import { ranunculus } from './ranunculus.ts'
import { reverseShellBorder } from './reverseShellBorder.ts'
import { ribbonRose } from './ribbonRose.ts'
import { ropeBorder } from './ropeBorder.ts'
import { rose } from './rose.ts'
import { roseBud } from './roseBud.ts'
import { roseInPlace } from './roseInPlace.ts'
import { rosette } from './rosette.ts'
import { rosetteBloom } from './rosetteBloom.ts'
import { rosetteBorder } from './rosetteBorder.ts'
import { ruffleBloom } from './ruffleBloom.ts'
import { ruffleBorder } from './ruffleBorder.ts'
import { ruffledHearts } from './ruffledHearts.ts'
import { ruffledLeaf } from './ruffledLeaf.ts'
import { ruffledSkirt } from './ruffledSkirt.ts'
import { scabious } from './scabious.ts'
import { scroll } from './scroll.ts'
import { seedHead } from './seedHead.ts'
import { shellBorder } from './shellBorder.ts'
import { succulent } from './succulent.ts'
import { sunflower } from './sunflower.ts'
import { swagBorder } from './swagBorder.ts'
import { sweetPea } from './sweetPea.ts'
import { swirl } from './swirl.ts'
import { thrift } from './thrift.ts'
import { tulip } from './tulip.ts'
import { twoRowBlossom } from './twoRowBlossom.ts'
import { vineWithBuds } from './vineWithBuds.ts'
import { violet } from './violet.ts'
import { waterLily } from './waterLily.ts'
import { wheatEar } from './wheatEar.ts'
import { windflower } from './windflower.ts'
import { wrappedRuffle } from './wrappedRuffle.ts'
import { zigzagBorder } from './zigzagBorder.ts'
import { zinnia } from './zinnia.ts'

/** The library: roses, open flowers, fillers, then leaves and lines, then borders. */
export const catalogueFlowers: readonly Flower[] = [
  rose,
  roseInPlace,
  quarteredRose,
  roseBud,
  halfRose,
  budOnStem,
  ribbonRose,
  climbingRose,
  hellebore,
  scabious,
  anemone,
  dahlia,
  nigella,
  thrift,
  sweetPea,
  ranunculus,
  peony,
  camellia,
  magnolia,
  waterLily,
  windflower,
  chrysanthemum,
  zinnia,
  aster,
  daisy,
  sunflower,
  cosmos,
  gerbera,
  poinsettia,
  blossom,
  cherryBlossom,
  twoRowBlossom,
  heartBloom,
  ruffledHearts,
  primrose,
  pansy,
  violet,
  footedBlossom,
  notchedBlossom,
  dotBlossom,
  forgetMeNot,
  narcissus,
  poppy,
  tulip,
  funnelLily,
  carnation,
  ruffleBloom,
  wrappedRuffle,
  cabbageBloom,
  hydrangea,
  lavender,
  raceme,
  lilac,
  seedHead,
  wheatEar,
  dropStarFlower,
  dropCluster,
  rosette,
  rosetteBloom,
  swirl,
  floodedDisc,
  leafSingle,
  ruffledLeaf,
  leafCluster,
  petalLeaf,
  commaLeaves,
  fern,
  leafySprig,
  grassTuft,
  succulent,
  agave,
  ballCactus,
  vineWithBuds,
  berrySprig,
  lilyOfTheValley,
  scroll,
  shellBorder,
  reverseShellBorder,
  beadBorder,
  dropBorder,
  dotBorder,
  rosetteBorder,
  zigzagBorder,
  ropeBorder,
  swagBorder,
  ruffleBorder,
  ruffledSkirt,
  basketweave,
]
