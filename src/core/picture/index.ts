export { inspectPicture, MOST_MEGAPIXELS, STORED_SIDE_PX, type PictureFacts } from './inspect';
export { warp, type Raster } from './warp';
