/** A SHA-256 as it is written: sixty-four hexadecimal digits. */
export const DIGEST = /^[0-9a-f]{64}$/;
