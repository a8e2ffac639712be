import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { browser } from "./browser";

const SERVER = Date.parse("2026-11-25T20:00:00Z");
const said = (ms: number) => new Response("", { headers: { Date: new Date(ms).toUTCString() } });

describe("the kitchen's clock on a phone that is wrong", () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.resetModules();
    browser();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it.each([0, 90, -90, 3_600, -86_400])("shows the server's minute when it is %i s off", async (offS) => {
    const { heard, presentMs } = await import("../src/api/present");
    vi.setSystemTime(SERVER + offS * 1000);
    heard(said(SERVER), Date.now() - 40, Date.now());
    expect(Math.abs(presentMs() - SERVER)).toBeLessThanOrEqual(2_000);
    vi.setSystemTime(SERVER + offS * 1000 + 600_000);
    expect(Math.abs(presentMs() - SERVER - 600_000)).toBeLessThanOrEqual(2_000);
  });

  it("does not jump about for the second that an answer's date is cut to", async () => {
    const { heard, onJump, presentMs } = await import("../src/api/present");
    const jumped = vi.fn();
    onJump(jumped);
    for (let i = 0; i < 20; i++) {
      vi.setSystemTime(SERVER + i * 730);
      heard(said(Math.floor(Date.now() / 1000) * 1000), Date.now() - 30, Date.now());
    }
    expect(jumped).not.toHaveBeenCalled();
    expect(presentMs()).toBe(Date.now());
  });

  it("is remembered for the next page", async () => {
    const first = await import("../src/api/present");
    vi.setSystemTime(SERVER + 600_000);
    first.heard(said(SERVER), Date.now(), Date.now());
    vi.resetModules();
    const next = await import("../src/api/present");
    expect(Math.abs(next.presentMs() - SERVER)).toBeLessThanOrEqual(2_000);
  });
});
