import { createServer, type IncomingMessage, request, type Server, type ServerResponse } from "node:http";
import type { AddressInfo } from "node:net";
import { type Chance, pause } from "./chance";

/** An upload of facts as it went by. */
interface Upload {
  readonly url: string;
  readonly headers: IncomingMessage["headers"];
  readonly body: Buffer;
}

const MOST_KEPT = 40;

/**
 * The line between a device and the server: it can be cut, lose answers, hold uploads up so that they overtake each
 * other, and bring an old upload once more.
 */
export class Line {
  /** Nothing passes. */
  isCut = false;
  /** Uploads reach the server and their answers do not come back. */
  losesAnswers = false;
  /** Uploads take up to so long, each its own time. */
  delayMs = 0;
  private readonly uploads: Upload[] = [];

  private constructor(
    private readonly server: Server,
    private readonly to: { port: number },
    private readonly chance: Chance,
  ) {}

  /** @param to where the server is; it may be changed. */
  static async to(to: { port: number }, chance: Chance): Promise<Line> {
    const server = createServer();
    const line = new Line(server, to, chance);
    server.on("request", (asked, answer) => void line.pass(asked, answer));
    await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
    return line;
  }

  get address(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  heal(): void {
    this.isCut = false;
    this.losesAnswers = false;
    this.delayMs = 0;
  }

  /** Brings an upload of before once more; false where there was none, or nobody took it. */
  async replay(): Promise<boolean> {
    if (this.uploads.length === 0) return false;
    const { url, headers, body } = this.chance.one(this.uploads);
    return new Promise((resolve) => {
      const again = request({ ...this.target(url, "POST"), headers }, (came) => {
        came.resume();
        resolve(came.statusCode === 200);
      });
      again.once("error", () => resolve(false));
      again.end(body);
    });
  }

  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }

  private async pass(asked: IncomingMessage, answer: ServerResponse): Promise<void> {
    if (this.isCut) {
      asked.socket.destroy();
      return;
    }
    const parts: Buffer[] = [];
    try {
      for await (const part of asked) parts.push(part as Buffer);
    } catch {
      return;
    }
    const body = Buffer.concat(parts);
    const url = asked.url ?? "/";
    const isUpload = asked.method === "POST" && url.endsWith("/facts");
    if (isUpload) {
      this.uploads.push({ url, headers: asked.headers, body });
      if (this.uploads.length > MOST_KEPT) this.uploads.shift();
      if (this.delayMs > 0) await pause(this.chance.between(0, this.delayMs));
    }
    const losesAnswer = isUpload && this.losesAnswers;
    const on = request({ ...this.target(url, asked.method ?? "GET"), headers: asked.headers }, (came) => {
      if (losesAnswer || this.isCut) {
        came.resume();
        asked.socket.destroy();
        return;
      }
      answer.writeHead(came.statusCode ?? 502, came.headers);
      came.pipe(answer);
      came.once("error", () => answer.destroy());
    });
    on.once("error", () => asked.socket.destroy());
    on.end(body);
  }

  private target(path: string, method: string) {
    return { host: "127.0.0.1", port: this.to.port, path, method };
  }
}
