import { createServer, request, type Server } from "node:http";

/** Text that a build names its files by; the rest of what is served is passed on as it is. */
const TEXT = /html|javascript|json|x-component/;

/**
 * A stand-in for a server that is built anew: it passes everything on to one that runs, and from {@link renew} on as a
 * build of another name, whose files lie elsewhere.
 */
export class BuildsInTurn {
  private readonly server: Server;
  private renewed = false;

  private constructor(
    target: URL,
    private readonly build: string,
  ) {
    this.server = createServer((asked, answer) => {
      const url = this.renewed ? this.old(asked.url ?? "/") : (asked.url ?? "/");
      const headers = {
        ...asked.headers,
        host: target.host,
        "accept-encoding": "identity",
        ...(asked.headers.origin ? { origin: target.origin } : {}),
      };
      const passed = request(new URL(url, target), { method: asked.method, headers }, (given) => {
        const parts: Buffer[] = [];
        given.on("data", (part: Buffer) => parts.push(part));
        given.on("end", () => {
          const whole = Buffer.concat(parts);
          const isText = TEXT.test(given.headers["content-type"] ?? "");
          const body = this.renewed && isText ? Buffer.from(this.young(whole.toString())) : whole;
          const { "content-length": _, "transfer-encoding": __, ...kept } = given.headers;
          answer.writeHead(given.statusCode ?? 502, { ...kept, "content-length": body.length });
          answer.end(body);
        });
      });
      passed.on("error", () => answer.destroy());
      asked.pipe(passed);
    });
  }

  static async before(address: string): Promise<BuildsInTurn> {
    const { build } = (await (await fetch(`${address}/offline.json`)).json()) as { build: string };
    const made = new BuildsInTurn(new URL(address), build);
    await new Promise<void>((resolve) => made.server.listen(0, "127.0.0.1", resolve));
    return made;
  }

  get address(): string {
    const at = this.server.address();
    return `http://127.0.0.1:${typeof at === "object" && at ? at.port : 0}`;
  }

  /** Names of the two builds. */
  get builds(): readonly [string, string] {
    return [this.build, [...this.build].reverse().join("")];
  }

  renew(): void {
    this.renewed = true;
  }

  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }

  private young(text: string): string {
    const [before, after] = this.builds;
    return text.replaceAll(before, after).replaceAll("static/chunks/", "static/chunkz/");
  }

  private old(text: string): string {
    const [before, after] = this.builds;
    return text.replaceAll(after, before).replaceAll("static/chunkz/", "static/chunks/");
  }
}
