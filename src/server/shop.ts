/** The one shop that there is until accounts come. */
export const FIRST_SHOP = "0198c3a0-0000-7000-8000-000000000001";

/** Whose facts a request, or a page, is about. */
export function shopOf(_request?: Request): string {
  return FIRST_SHOP;
}
