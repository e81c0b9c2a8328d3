/** A font file that ships with the application, by its address. */
declare module "*.woff2" {
  const address: string;
  export default address;
}
