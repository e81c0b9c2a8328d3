import { createServer, type Server, type Socket } from "node:net";
import type { ScpiInstrument } from "@/core/bench";

/** A stand-in instrument that listens. */
export interface StandIn {
  readonly port: number;
  readonly close: () => void;
}

/** A line longer than this is no command. */
const MOST_LINE = 512;

/** Serves a virtual instrument as a real one would be: SCPI, a line each, over TCP, on loopback only. */
export async function serveInstrument(instrument: ScpiInstrument, port = 0): Promise<StandIn> {
  const sockets = new Set<Socket>();
  const server: Server = createServer((socket) => {
    sockets.add(socket);
    let waiting = "";
    socket.setEncoding("utf8");
    socket.on("data", (chunk: string) => {
      waiting += chunk;
      if (waiting.length > MOST_LINE && !waiting.includes("\n")) {
        socket.destroy();
        return;
      }
      const lines = waiting.split(/\r?\n/);
      waiting = lines.pop() ?? "";
      for (const line of lines) {
        const answer = instrument.answer(line, Date.now());
        if (answer !== null) socket.write(`${answer}\n`);
      }
    });
    socket.on("error", () => socket.destroy());
    socket.on("close", () => sockets.delete(socket));
  });
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    // Where several processes answer, a port of no number would be one that they share: each stand-in has its own.
    server.listen({ port, host: "127.0.0.1", exclusive: true }, resolve);
  });
  const address = server.address();
  if (address === null || typeof address === "string") throw new Error("a TCP server without a port");
  const close = () => {
    for (const socket of sockets) socket.destroy();
    server.close();
  };
  return { port: address.port, close };
}
