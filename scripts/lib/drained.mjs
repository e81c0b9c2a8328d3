/** What is in flight when the server is told to stop has so long to finish. */
export const DRAIN_MS = 8000;

/** Takes no more requests and waits for those in flight; what is not done by then is cut off, and its sender told so. */
export function drained(server) {
  return new Promise((resolve) => {
    const late = setTimeout(() => server.closeAllConnections(), DRAIN_MS);
    server.close(() => {
      clearTimeout(late);
      resolve();
    });
    server.closeIdleConnections();
  });
}
