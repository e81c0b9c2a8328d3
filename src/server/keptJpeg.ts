/** Bytes of JPEG (ITU-T T.81, B.1): what a segment begins with, and the kinds of segments. */
const MARK = 0xff;
const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
/** Plain file data; the other application segments and comments may name place, time and camera. */
const JFIF = 0xe0;
const LAST_APPLICATION = 0xef;
const COMMENT = 0xfe;

/**
 * Whether a file is a JPEG as this application packs them: nothing in it but the picture, nothing behind its end. Such a
 * file is kept as it is, so that a job brought in from a file has the bytes it went out with.
 */
export function isPlainJpeg(file: Buffer): boolean {
  if (file[0] !== MARK || file[1] !== START) return false;
  let at = 2;
  while (at + 1 < file.length) {
    if (file[at] !== MARK) return false;
    const kind = file[at + 1] ?? 0;
    if (kind === END) return at + 2 === file.length;
    if (kind === COMMENT || (kind > JFIF && kind <= LAST_APPLICATION)) return false;
    if (at + 4 > file.length) return false;
    at += 2 + file.readUInt16BE(at + 2);
    if (kind === SCAN) at = endOfScan(file, at);
  }
  return false;
}

/** The scan's own bytes run until a mark that is neither stuffed (0) nor a restart (D0 to D7). */
function endOfScan(file: Buffer, from: number): number {
  for (let at = from; at + 1 < file.length; at++) {
    if (file[at] !== MARK) continue;
    const next = file[at + 1] ?? 0;
    if (next !== 0 && !(next >= 0xd0 && next <= 0xd7) && next !== MARK) return at;
  }
  return file.length;
}
