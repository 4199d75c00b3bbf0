export { inspectPicture, MOST_MEGAPIXELS, STORED_SIDE_PX, type PictureFacts } from './inspect';
export { warp, type Raster } from './warp';
export {
  between,
  brightAt,
  brightness,
  planesOf,
  shrink,
  shrinkAll,
  type Plane,
  type Planes,
} from './planes';
export { asRaster } from './raster';
export { cheapestWay } from './cheapestWay';
