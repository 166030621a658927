// A text file taken into the app is the number of an asset; its contents are fetched.
declare module '*.txt' {
  const asset: number;
  export default asset;
}

declare module '*.md' {
  const asset: number;
  export default asset;
}
