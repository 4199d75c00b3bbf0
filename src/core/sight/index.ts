export { knownWords, proposalWords } from './words';
export { findKnown, knownSchema, KNOWN_SOURCE, type KnownFound, type KnownThing } from './known';
export { findRegion, regionSchema, REGION_SOURCE, type RegionFound } from './region';
