import createClient from "openapi-fetch";
import { say } from "../words/say";
import { answered, token } from "./door";
import { heard } from "./present";
import type { paths } from "./types.gen";

/** A problem document of the server: what happened, what is kept, what would be right. */
export class ProblemError extends Error {
  readonly status: number;
  readonly violations: { field: string; value: string; wanted: string }[];
  /** What the server keeps instead of a stale change. */
  readonly kept: unknown;
  /** What happened, without what it happened to. */
  readonly title: string;
  /** Names the kind of problem. */
  readonly type: string;

  constructor(
    status: number,
    title: string,
    detail: string,
    violations: ProblemError["violations"],
    kept?: unknown,
    type = "about:blank",
  ) {
    super(detail ? `${title}. ${detail}` : title);
    this.status = status;
    this.title = title;
    this.violations = violations;
    this.kept = kept;
    this.type = type;
  }

  /** Whether the same, asked again, may be answered otherwise: the server is busy, or this device is let in first. */
  get again(): boolean {
    return this.status >= 500 || this.status === 401 || this.status === 408 || this.status === 429;
  }
}

/** The server or the network is away; nothing was refused. */
export class AwayError extends Error {
  constructor() {
    super(say("common.theKitchenServerDoesNot"));
  }
}

/** What the server keeps instead of a stale change; undefined when something else went wrong. */
export const keptInstead = <T>(error: unknown): T | undefined =>
  error instanceof ProblemError && error.status === 409 ? (error.kept as T | undefined) : undefined;

/** What the server would rather have in a field of what was last sent to it. */
export const wrongOf = (error: unknown) => (field: string) =>
  error instanceof ProblemError
    ? error.violations.find((v) => v.field === field || v.field.endsWith(`.${field}`))?.wanted
    : undefined;

declare global {
  interface Window {
    /** Questions that `first.js` asked before this script was read, by their path. */
    early?: Map<string, Promise<Response>>;
    /** When it asked them, ms of the browser's clock. */
    earlyMs: number;
  }
}

/** An answer that was asked for before the page's script ran; each is used once. */
function takeEarly(method: string, path: string): Promise<Response> | undefined {
  const answer = method === "GET" ? window.early?.get(path) : undefined;
  window.early?.delete(path);
  return answer;
}

/** Asks the server, takes its clock, and tells an absent server from one that refuses. */
async function ask(request: Request): Promise<Response> {
  const path = request.url.slice(window.location.origin.length);
  const early = takeEarly(request.method, path);
  const said = request.method === "GET" ? undefined : token();
  if (said) request.headers.set("X-XSRF-TOKEN", said);
  const askedMs = early ? window.earlyMs : Date.now();
  let response: Response;
  try {
    response = await (early ?? fetch(request));
    // Asked before this device was let in.
    if (early && response.status === 401) response = await fetch(request);
  } catch (e) {
    if (e instanceof DOMException && e.name === "AbortError") throw e;
    throw new AwayError();
  }
  heard(response, askedMs, Date.now());
  if (path !== "/api/door/pair" || response.ok) answered(response, askedMs);
  if (response.status >= 502 && response.status <= 504) throw new AwayError();
  return response;
}

/** The server's paths with their types, as its OpenAPI document says them. */
export const http = createClient<paths>({ baseUrl: window.location.origin, fetch: ask });

/** What was answered, or the problem that the server tells. */
export async function told<T>(
  answer: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  const { data, error, response } = await answer;
  if (response.ok) return data as T;
  throw problem(response.status, error);
}

/** A file as it is, of a type; what was answered. */
export async function sent<T>(path: string, body: Blob, type: string): Promise<T> {
  const request = new Request(window.location.origin + path, {
    method: "POST",
    body,
    headers: { "Content-Type": type },
  });
  const response = await ask(request);
  const answer: unknown = await response.json();
  if (response.ok) return answer as T;
  throw problem(response.status, answer);
}

/** The problem document of a refusal. */
function problem(status: number, document: unknown): ProblemError {
  const said = (document ?? {}) as Partial<Record<"title" | "detail" | "type", string>> & {
    violations?: ProblemError["violations"];
    current?: unknown;
  };
  return new ProblemError(
    status,
    said.title ?? say("common.theServerRefused"),
    said.detail ?? "",
    said.violations ?? [],
    said.current,
    said.type,
  );
}
