import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { browser } from "./browser";

type Sent = { url: string; body: { id: string; kind: string; ageS: number } };

/** A server that can be away, and that remembers what it was sent. */
function server() {
  const state = { away: false, refuse: 0, sent: [] as Sent[], tries: 0 };
  vi.stubGlobal("fetch", async (request: Request) => {
    if (request.method === "GET") return new Response("[]", { status: 200 });
    state.tries++;
    if (state.away) throw new TypeError("no network");
    if (state.refuse > 0) {
      state.refuse--;
      return new Response(JSON.stringify({ title: "Refused", detail: "Not so." }), { status: 409 });
    }
    const body = JSON.parse(await request.text());
    state.sent.push({ url: new URL(request.url).pathname, body });
    return new Response(JSON.stringify({ id: "brew", serverNow: "2026-11-25T20:00:00Z", events: [] }), {
      status: 200,
    });
  });
  return state;
}

/** What is kept, by its ids. */
const waitingIn = (page: ReturnType<typeof browser>) =>
  [...page.kept.keys()].filter((k) => k.startsWith("ember-outbox/")).map((k) => k.split("/")[1]);

describe("confirmations on their way", () => {
  let page: ReturnType<typeof browser>;
  let away: ReturnType<typeof server>;

  beforeEach(() => {
    vi.useFakeTimers();
    vi.resetModules();
    page = browser();
    away = server();
  });

  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  const settle = () => vi.advanceTimersByTimeAsync(0);

  it("are sent in the order they happened, each once", async () => {
    const { confirm } = await import("../src/api/outbox");
    confirm("brew", { kind: "step-done", step: "s0" });
    confirm("brew", { kind: "step-done", step: "s1" });
    confirm("brew", { kind: "finished" });
    await settle();
    expect(away.sent.map((s) => s.body.kind)).toEqual(["step-done", "step-done", "finished"]);
    expect(new Set(away.sent.map((s) => s.body.id)).size).toBe(3);
    expect(waitingIn(page)).toEqual([]);
  });

  it("are not lost without a word when the device has no room", async () => {
    const { confirm } = await import("../src/api/outbox");
    away.away = true;
    page.fill();
    confirm("brew", { kind: "finished" });
    await settle();
    expect(waitingIn(page)).toEqual([]);
    away.away = false;
    page.tell("online");
    await vi.advanceTimersByTimeAsync(5_000);
    expect(away.sent.map((s) => s.body.kind)).toEqual(["finished"]);
  });

  it("stay on a device that is sent away, which forgets the household", async () => {
    const { confirm } = await import("../src/api/outbox");
    const { answered } = await import("../src/api/door");
    away.away = true;
    confirm("brew", { kind: "finished" });
    page.kept.set("ember-house", "{}");
    page.kept.set("ember-theme", "night");
    answered(new Response("", { status: 401 }), Date.now());
    expect(page.kept.has("ember-house")).toBe(false);
    expect(page.kept.has("ember-theme")).toBe(true);
    expect(waitingIn(page)).toHaveLength(1);
  });

  it("wait while the server is away, and say then how long ago they happened", async () => {
    const { confirm } = await import("../src/api/outbox");
    away.away = true;
    const id = confirm("brew", { kind: "step-done", step: "s0" });
    await settle();
    expect(away.sent).toEqual([]);
    expect(waitingIn(page)).toEqual([id]);
    await vi.advanceTimersByTimeAsync(59_000);
    away.away = false;
    await vi.advanceTimersByTimeAsync(2_000);
    expect(away.sent).toHaveLength(1);
    expect(away.sent[0]?.body.id).toBe(id);
    expect(away.sent[0]?.body.ageS).toBeGreaterThanOrEqual(59);
    expect(away.tries).toBeGreaterThan(20);
  });

  it("survive a closed page", async () => {
    const first = await import("../src/api/outbox");
    away.away = true;
    const id = first.confirm("brew", { kind: "finished" });
    await settle();
    vi.resetModules();
    away.away = false;
    await import("../src/api/outbox");
    await settle();
    expect(away.sent.map((s) => s.body.id)).toEqual([id]);
  });

  it("do not stand behind one that is refused", async () => {
    const { confirm } = await import("../src/api/outbox");
    away.refuse = 1;
    confirm("brew", { kind: "step-done", step: "nonsense" });
    confirm("brew", { kind: "finished" });
    await settle();
    expect(away.sent.map((s) => s.body.kind)).toEqual(["finished"]);
  });

  it("of two tabs that were offline all reach the server, in the order they happened", async () => {
    away.away = true;
    const one = await import("../src/api/outbox");
    const a = one.confirm("brew", { kind: "step-done", step: "s0" });
    vi.resetModules();
    const two = await import("../src/api/outbox");
    const b = two.confirm("brew", { kind: "step-done", step: "s1" });
    vi.setSystemTime(Date.now() - 3600_000);
    const c = one.confirm("brew", { kind: "finished" });
    await settle();
    expect(waitingIn(page).sort()).toEqual([a, b, c].sort());
    away.away = false;
    await vi.advanceTimersByTimeAsync(2_000);
    await vi.advanceTimersByTimeAsync(2_000);
    expect([...new Set(away.sent.map((s) => s.body.id))]).toEqual([a, b, c]);
    expect(waitingIn(page)).toEqual([]);
  });

  it("that are refused for good stay with their reason until it is read", async () => {
    const { confirm, readRefused } = await import("../src/api/outbox");
    away.refuse = 1;
    const id = confirm("brew", { kind: "step-done", step: "nonsense" });
    await settle();
    expect(JSON.parse(page.kept.get(`ember-outbox/${id}`) ?? "").refused).toContain("Not so.");
    confirm("brew", { kind: "finished" });
    await settle();
    expect(away.sent.map((s) => s.body.kind)).toEqual(["finished"]);
    readRefused(id);
    expect(waitingIn(page)).toEqual([]);
  });

  it("of an earlier version are taken over", async () => {
    page.kept.set(
      "ember-outbox",
      JSON.stringify([{ brewId: "brew", event: { id: "x1", kind: "finished" }, happenedMs: Date.now() }]),
    );
    await import("../src/api/outbox");
    await settle();
    expect(away.sent.map((s) => s.body.id)).toEqual(["x1"]);
  });

  it("have names of their own that are UUIDs, with or without the browser's help", async () => {
    const { uuid } = await import("../src/api/outbox");
    vi.stubGlobal("crypto", { getRandomValues: (b: Uint8Array) => b.fill(7) });
    expect(uuid()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  });
});
