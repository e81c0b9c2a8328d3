import { connect, createServer } from "node:net";

/**
 * A line like a phone's at the edge of its cell, in front of a server: what goes either way takes half of a round trip,
 * and all that comes shares so many bytes a second. Unlike the browser's own slowing it holds for a service worker too.
 *
 * @param port where the server listens, on this machine.
 * @returns where the line begins, whether it is poor just now, and how to close it.
 */
export async function poorLine(port, { roundTripMs, bytesASecond }) {
  const open = new Set();
  /** Until when the line is taken by what was sent before. */
  let taken = 0;
  const line = { port: 0, isPoor: true, close };
  const server = createServer((near) => {
    const far = connect(port, "127.0.0.1");
    for (const socket of [near, far]) {
      open.add(socket);
      socket.setNoDelay(true);
      socket.on("close", () => open.delete(socket));
      socket.on("error", () => socket.destroy());
    }
    pass(near, far, () => (line.isPoor ? roundTripMs / 2 : 0));
    pass(far, near, (bytes) => {
      if (!line.isPoor) return 0;
      const now = performance.now();
      taken = Math.max(taken, now) + (bytes / bytesASecond) * 1000;
      return roundTripMs / 2 + taken - now;
    });
  });
  await new Promise((resolve) => server.listen(0, "127.0.0.1", resolve));
  line.port = server.address().port;
  return line;

  function close() {
    server.close();
    for (const socket of open) socket.destroy();
  }
}

/** Hands on what comes, piece by piece and in its order, each after as many milliseconds as it takes. */
function pass(from, to, delayOf) {
  let handed = Promise.resolve();
  const inTurn = (bytes, hand) => {
    const due = performance.now() + delayOf(bytes);
    handed = handed.then(async () => {
      await new Promise((resolve) => setTimeout(resolve, due - performance.now()));
      if (to.writable) hand();
    });
  };
  from.on("data", (bytes) => {
    for (let at = 0; at < bytes.length; at += PIECE_BYTES) {
      const piece = bytes.subarray(at, at + PIECE_BYTES);
      inTurn(piece.length, () => to.write(piece));
    }
  });
  from.on("close", () => inTurn(0, () => to.end()));
}

/** As much as a packet of the line. */
const PIECE_BYTES = 1460;
