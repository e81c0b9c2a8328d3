import { connect, type Socket } from "node:net";

/** A line to an instrument: commands go out, queries come back in order. */
export interface ScpiClient {
  readonly command: (line: string) => void;
  /** The answer to a query; rejects when none comes in time or the instrument is gone. */
  readonly query: (line: string) => Promise<string>;
  readonly close: () => void;
  /** Whether the line is gone, whoever closed it. */
  readonly isClosed: () => boolean;
}

const ANSWER_MS = 2000;

/** Connects to an instrument that speaks SCPI over TCP. */
export async function scpiClient(port: number, host = "127.0.0.1"): Promise<ScpiClient> {
  const socket = await new Promise<Socket>((resolve, reject) => {
    const opening = connect({ port, host });
    opening.setTimeout(ANSWER_MS, () => opening.destroy(new Error("the meter does not answer")));
    opening.once("connect", () => {
      opening.setTimeout(0);
      resolve(opening);
    });
    opening.once("error", reject);
  });
  socket.setEncoding("utf8");
  const asked: { answer: (line: string) => void; fail: (error: Error) => void }[] = [];
  let waiting = "";
  socket.on("data", (chunk: string) => {
    waiting += chunk;
    const lines = waiting.split(/\r?\n/);
    waiting = lines.pop() ?? "";
    for (const line of lines) asked.shift()?.answer(line);
  });
  const end = (error: Error) => {
    for (const one of asked.splice(0)) one.fail(error);
  };
  socket.on("error", end);
  socket.on("close", () => end(new Error("the meter is gone")));
  return {
    command: (line) => void socket.write(`${line}\n`),
    query: (line) =>
      new Promise((resolve, reject) => {
        if (socket.destroyed) {
          reject(new Error("the meter is gone"));
          return;
        }
        // An answer that comes too late would be taken for the next one: the line is given up.
        const timer = setTimeout(() => socket.destroy(new Error("the meter does not answer")), ANSWER_MS);
        asked.push({
          answer: (text) => {
            clearTimeout(timer);
            resolve(text);
          },
          fail: (error) => {
            clearTimeout(timer);
            reject(error);
          },
        });
        socket.write(`${line}\n`);
      }),
    close: () => socket.destroy(),
    isClosed: () => socket.destroyed,
  };
}
