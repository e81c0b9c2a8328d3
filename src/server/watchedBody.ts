/** The name of an error that tells of one which is logged already. */
const BROKEN_OFF = "BrokenOff";

/** The body of an answer, such that somebody is told where it breaks off; who reads it sees it end in an error. */
export function watchedBody(
  body: ReadableStream<Uint8Array>,
  told: (error: unknown) => void,
): ReadableStream<Uint8Array> {
  const reader = body.getReader();
  return new ReadableStream(
    {
      pull: async (controller) => {
        try {
          const { done, value } = await reader.read();
          if (done) controller.close();
          else controller.enqueue(value);
        } catch (error) {
          told(error);
          controller.error(Object.assign(new Error("an answer broke off"), { name: BROKEN_OFF }));
        }
      },
      cancel: (reason) => reader.cancel(reason),
    },
    // Nothing is fetched before it is asked for.
    { highWaterMark: 0 },
  );
}
