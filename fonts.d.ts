// Metro turns a font file into the number of an asset.
declare module '*.woff2' {
  const asset: number;
  export default asset;
}
declare module '*.ttf' {
  const asset: number;
  export default asset;
}
