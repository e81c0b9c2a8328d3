import { describe, expect, it } from "vitest";
import { privateHost } from "./privateHost";

describe("a host", () => {
  it.each([
    ["192.168.1.40", true],
    ["10.0.0.9", true],
    ["172.31.2.2", true],
    ["169.254.7.7", true],
    ["::1", true],
    ["fe80::1", true],
    ["172.32.0.1", false],
    ["203.0.113.5", false],
    ["2001:db8::1", false],
    ["no-such-host.invalid", false],
  ])("%s: of the own network is %s", async (host, own) => {
    expect((await privateHost(host)) !== null).toBe(own);
  });
});
