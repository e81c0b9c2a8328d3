import "fake-indexeddb/auto";
import { openDB } from "idb";
import { v7 as uuid } from "uuid";
import { describe, expect, it, vi } from "vitest";
import type { Fact } from "@/core";
import { testStorage } from "../../tests/material/storage";
import { anythingWaiting } from "./anythingWaiting";
import { DatabaseShelf } from "./databaseShelf";
import { waitingRow } from "./factRow";
import { writeDown } from "./journal";
import { SafeShelf } from "./openShelf";
import { MemoryShelf, MOST_SENT_PHOTOS, type Shelf } from "./shelf";

const JOB = "019a0000-0000-7000-8000-00000000000a";
const OTHER = "019a0000-0000-7000-8000-00000000000b";

function made(title: string): Fact {
  return { id: uuid(), at: "2026-05-05T05:05:05.000Z", by: "", body: { kind: "title", title } };
}
const titles = (rows: readonly { fact: unknown }[]) =>
  rows.map(({ fact }) => (fact as { body: { title: string } }).body.title);

const kinds: [string, () => Shelf][] = [
  ["in the browser's database", () => new DatabaseShelf(uuid())],
  ["in memory", () => new MemoryShelf()],
  ["in the database with memory beside it", () => new SafeShelf(new DatabaseShelf(uuid()))],
];

describe.each(kinds)("a shelf %s", (_, open) => {
  it("gives back what waits in the order made, of each job, once", async () => {
    const shelf = open();
    const [a, b, c] = [made("a"), made("b"), made("c")];
    await shelf.put([waitingRow(JOB, b), waitingRow(JOB, a)]);
    await shelf.put([waitingRow(OTHER, c), waitingRow(JOB, b)]);
    expect(titles(await shelf.waiting())).toEqual(expect.arrayContaining(["b", "a", "c"]));
    expect(titles(await shelf.own(JOB))).toEqual(["b", "a"]);
    expect(titles((await shelf.load(OTHER)).rows)).toEqual(["c"]);
  });

  it("keeps the server's order before its own, and a fact that came back no longer as its own", async () => {
    const shelf = open();
    const [mine, theirs, later] = [made("mine"), made("theirs"), made("later")];
    await shelf.put([waitingRow(JOB, mine), waitingRow(JOB, later)]);
    await shelf.mark(JOB, [mine.id], "sent");
    expect(titles(await shelf.waiting())).toEqual(["later"]);
    await shelf.learn(JOB, { facts: [theirs, mine], after: 0, arrival: 12 });
    await shelf.learn(JOB, { facts: [mine], after: 0, arrival: 9 });
    const { rows, arrival } = await shelf.load(JOB);
    expect(titles(rows)).toEqual(["theirs", "mine", "later"]);
    expect(arrival).toBe(12);
    expect(titles(await shelf.own(JOB))).toEqual(["later"]);
  });

  it("keeps each fact once however pages overlap, in the order of arrival, and goes no further than they follow on", async () => {
    const shelf = open();
    const [a, b, c, d, e] = ["a", "b", "c", "d", "e"].map(made) as [Fact, Fact, Fact, Fact, Fact];
    await shelf.learn(JOB, { facts: [a, b], after: 0, arrival: 10 });
    // Another tab, further on and from further back.
    await shelf.learn(JOB, { facts: [b, c], after: 5, arrival: 11 });
    // A tab that knows of more than this shelf was told.
    await shelf.learn(JOB, { facts: [e], after: 12, arrival: 13 });
    expect(titles((await shelf.load(JOB)).rows)).toEqual(["a", "b", "c", "e"]);
    expect((await shelf.load(JOB)).arrival).toBe(11);
    await shelf.learn(JOB, { facts: [d, e], after: 11, arrival: 13 });
    expect((await shelf.load(JOB)).arrival).toBe(13);
    expect(titles((await shelf.load(JOB)).rows).sort()).toEqual(["a", "b", "c", "d", "e"]);
    expect(await shelf.own(JOB)).toEqual([]);
    expect((await shelf.load(OTHER)).rows).toEqual([]);
  });

  it("has everything wait again that the server had, in the order made, and what was set aside not", async () => {
    const shelf = open();
    const [theirs, sent, bad, waits] = [made("theirs"), made("sent"), made("bad"), made("waits")];
    await shelf.learn(JOB, { facts: [theirs], after: 0, arrival: 7 });
    await shelf.put([waitingRow(JOB, sent), waitingRow(JOB, bad), waitingRow(JOB, waits)]);
    await shelf.mark(JOB, [sent.id], "sent");
    await shelf.mark(JOB, [bad.id], "aside", "It makes no sense.");
    await shelf.waitAgain();
    expect(titles(await shelf.waiting())).toEqual(["theirs", "sent", "waits"]);
    expect((await shelf.load(JOB)).arrival).toBe(0);
    await shelf.learn(JOB, { facts: [sent], after: 0, arrival: 3 });
    expect(titles(await shelf.waiting())).toEqual(["theirs", "waits"]);
    expect((await shelf.load(JOB)).arrival).toBe(3);
  });

  it("sets a fact aside with why, never one that the server has, and drops it when told", async () => {
    const shelf = open();
    const [bad, good] = [made("bad"), made("good")];
    await shelf.put([waitingRow(JOB, bad), waitingRow(JOB, good)]);
    await shelf.learn(JOB, { facts: [good], after: 0, arrival: 1 });
    await shelf.mark(JOB, [bad.id, good.id], "aside", "It makes no sense.");
    expect((await shelf.own(JOB)).map(({ standing, says }) => [standing, says])).toEqual([
      ["aside", "It makes no sense."],
    ]);
    expect(await shelf.waiting()).toEqual([]);
    await shelf.drop(JOB, bad.id);
    expect(await shelf.own(JOB)).toEqual([]);
  });

  it("names the jobs that it keeps, those touched last first, and no more than asked for", async () => {
    const shelf = open();
    const jobs = [uuid(), uuid(), uuid()];
    for (const job of jobs) await shelf.put([waitingRow(job, made("a")), waitingRow(job, made("b"))]);
    expect(await shelf.jobs(9)).toEqual(jobs.toReversed());
    expect(await shelf.jobs(2)).toEqual(jobs.toReversed().slice(0, 2));
  });

  it("keeps photos until they are dropped", async () => {
    const shelf = open();
    const photo = { id: uuid(), job: JOB, name: "a.jpg", type: "image/jpeg", bytes: new ArrayBuffer(9) };
    await shelf.putPhoto(photo);
    expect((await shelf.photos()).map(({ id, bytes }) => [id, bytes.byteLength])).toEqual([[photo.id, 9]]);
    await shelf.dropPhoto(photo.id);
    expect(await shelf.photos()).toEqual([]);
  });

  it("keeps the latest photos that the server has, and sends them again to a server that was set back", async () => {
    const shelf = open();
    const photos = Array.from({ length: MOST_SENT_PHOTOS + 2 }, () => ({
      id: uuid(),
      job: JOB,
      name: "a.jpg",
      type: "image/jpeg",
      bytes: new ArrayBuffer(1),
    }));
    for (const photo of photos) {
      await shelf.putPhoto(photo);
      await shelf.photoSent(photo);
    }
    const last = photos.at(-1);
    // Sent twice, where an answer was lost, it is one photo still.
    if (last) await shelf.photoSent(last);
    expect(await shelf.photos()).toEqual([]);
    await shelf.waitAgain();
    const back = await shelf.photos();
    expect(back.map(({ id }) => id).sort()).toEqual(
      photos
        .slice(2)
        .map(({ id }) => id)
        .sort(),
    );
    expect(back.every(({ again }) => again)).toBe(true);
  });
});

describe("a database of before sent photos were kept, and the server's facts in pages", () => {
  it("opens with all that it had", async () => {
    const name = uuid();
    const fact = made("before");
    const older = await openDB(name, 10, {
      upgrade(database) {
        const facts = database.createObjectStore("facts", { keyPath: "n", autoIncrement: true });
        facts.createIndex("job", "job");
        facts.createIndex("standing", "standing");
        facts.createIndex("[job+id]", ["job", "id"], { unique: true });
        facts.createIndex("[job+standing]", ["job", "standing"]);
        database.createObjectStore("seen", { keyPath: "job" });
        database.createObjectStore("sending", { keyPath: "id" });
      },
    });
    await older.add("facts", waitingRow(JOB, fact));
    const [one, two] = [made("kept one"), made("kept two")];
    await older.add("facts", { ...waitingRow(JOB, two), standing: "kept", order: 1 });
    await older.add("facts", { ...waitingRow(JOB, one), standing: "kept", order: 0 });
    await older.put("seen", { job: JOB, arrival: 40, learned: 2 });
    older.close();
    const shelf = new DatabaseShelf(name);
    expect(titles(await shelf.waiting())).toEqual(["before"]);
    await shelf.learn(JOB, { facts: [two, made("later")], after: 39, arrival: 41 });
    await shelf.learn(JOB, { facts: [fact], after: 41, arrival: 42 });
    expect(titles((await shelf.load(JOB)).rows)).toEqual(["kept one", "kept two", "later", "before"]);
    expect(await shelf.own(JOB)).toEqual([]);
    const photo = { id: uuid(), job: JOB, name: "", type: "", bytes: new ArrayBuffer(1) };
    await shelf.photoSent(photo);
    await shelf.waitAgain();
    expect((await shelf.photos()).map(({ id }) => id)).toEqual([photo.id]);
  });
});

describe("whether anything waits", () => {
  it("is told without the store: facts, photos, and what was only written down", async () => {
    vi.stubGlobal("localStorage", testStorage());
    expect(await anythingWaiting()).toBe(false);
    const shelf = new DatabaseShelf();
    const fact = made("a");
    await shelf.put([waitingRow(JOB, fact)]);
    expect(await anythingWaiting()).toBe(true);
    await shelf.mark(JOB, [fact.id], "sent");
    expect(await anythingWaiting()).toBe(false);
    await shelf.putPhoto({ id: fact.id, job: JOB, name: "", type: "", bytes: new ArrayBuffer(1) });
    expect(await anythingWaiting()).toBe(true);
    await shelf.dropPhoto(fact.id);
    writeDown(JOB, fact);
    expect(await anythingWaiting()).toBe(true);
  });
});

describe("where the browser keeps nothing", () => {
  it("what is entered is held in memory and is there to be sent, and the shelf says so", async () => {
    const name = uuid();
    const shelf = new SafeShelf(new DatabaseShelf(name));
    await shelf.put([waitingRow(JOB, made("kept"))]);
    expect(shelf.lasting).toBe(true);
    // A newer version of the page has the database in its own form.
    const newer = await openDB(name, 99);
    await shelf.put([waitingRow(JOB, made("held"))]);
    expect(shelf.lasting).toBe(false);
    expect(titles(await shelf.waiting())).toEqual(["held"]);
    expect(await newer.count("facts")).toBe(1);
    newer.close();
    expect(new SafeShelf(null).lasting).toBe(false);
  });
});
