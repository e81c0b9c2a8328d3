import { createServer, request, type Server, type ServerResponse } from "node:http";

/** A stand-in for a poor line in front of a server: while it holds pages back, everything else passes. */
export class HeldPages {
  private readonly server: Server;
  private isAway = false;
  private held: { readonly go: () => void; readonly answer: ServerResponse }[] | null = null;

  private constructor(target: URL) {
    this.server = createServer((asked, answer) => {
      const go = () => {
        const headers = { ...asked.headers, host: target.host };
        if (asked.headers.origin) headers.origin = target.origin;
        const passed = request(
          new URL(asked.url ?? "/", target),
          { method: asked.method, headers, agent: false },
          (given) => {
            answer.writeHead(given.statusCode ?? 502, given.headers);
            given.pipe(answer);
          },
        );
        passed.on("error", () => answer.destroy());
        asked.pipe(passed);
      };
      const isPage =
        asked.headers["sec-fetch-mode"] === "navigate" || asked.headers.accept?.startsWith("text/html");
      if (this.isAway) answer.destroy();
      else if (this.held && isPage) this.held.push({ go, answer });
      else go();
    });
  }

  static async before(address: string): Promise<HeldPages> {
    const made = new HeldPages(new URL(address));
    await new Promise<void>((resolve) => made.server.listen(0, "127.0.0.1", resolve));
    return made;
  }

  get address(): string {
    const at = this.server.address();
    return `http://127.0.0.1:${typeof at === "object" && at ? at.port : 0}`;
  }

  /** How many pages are held back. */
  get waiting(): number {
    return this.held?.length ?? 0;
  }

  hold(): void {
    this.held = [];
  }

  release(): void {
    for (const { go } of this.held ?? []) go();
    this.held = null;
  }

  /** From now on nothing is answered, what is held neither. */
  breakOff(): void {
    this.isAway = true;
    for (const { answer } of this.held ?? []) answer.destroy();
    this.held = null;
  }

  close(): void {
    this.breakOff();
    this.server.close();
    this.server.closeAllConnections();
  }
}
