import { spawn, spawnSync } from "node:child_process";

/** Runs a command to its end; gives its exit status and what it printed. Never throws for a failing command. */
export function capture(command, args, options = {}) {
  const done = spawnSync(command, args, { encoding: "utf8", maxBuffer: 1 << 28, ...options });
  return { status: done.status ?? 1, out: done.stdout ?? "", err: done.stderr ?? String(done.error ?? "") };
}

/** Runs a command with its output shown; gives its exit status. */
export function show(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: "inherit", ...options });
    child.on("error", () => resolve(1));
    child.on("exit", (status) => resolve(status ?? 1));
  });
}

/** Runs a command to its end beside others; gives its exit status and all that it printed. */
export function collected(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { ...options, stdio: ["ignore", "pipe", "pipe"] });
    let said = "";
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding("utf8").on("data", (part) => {
        said += part;
      });
    child.on("error", (error) => resolve({ status: 1, said: String(error) }));
    child.on("close", (status) => resolve({ status: status ?? 1, said }));
  });
}

/** Whether a command is on the path. */
export function has(command) {
  return capture("sh", ["-c", `command -v ${command}`]).status === 0;
}
