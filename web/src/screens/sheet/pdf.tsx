import regular from "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url";
import bold from "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-600-normal.woff?url";
import pdfMake from "pdfmake/build/pdfmake";
import type { Content, TableCell, TDocumentDefinitions } from "pdfmake/interfaces";
import { renderToStaticMarkup } from "react-dom/server";
import type { PlanResponse } from "../../api/client";
import { FireLine } from "../../drawings/FireLine";
import { ofPlan } from "../../drawings/lineProps";
import { measuredOut } from "../../parts/measured";
import { capital } from "../../parts/say";
import { partsOf, say } from "../../words/say";
import { crowded, ESTIMATE, hours, measure, order, SEVERITIES, steps, taken, water } from "./paperWords";

/** Written width of a sheet of A4, pt. */
const WIDTH = 530;
/** The line is drawn for this width, px, and set to that of the sheet. */
const LINE_PX = 780;

/** Of the letters, pt, from a page with room to the fullest. */
const SIZES = [10, 8.4, 7.2] as const;

/** Black and white of what the screen has in colours. */
const INKS: Record<string, string> = {
  ground: "#fff",
  muted: "#333",
  hairline: "#999",
  "ember-fill": "#ddd",
  "water-fill": "#eee",
};

/** Eighths and thirds that the face has no sign for. */
const BROKEN: Record<string, string> = {
  "⅛": " 1/8",
  "⅜": " 3/8",
  "⅝": " 5/8",
  "⅞": " 7/8",
  "⅓": " 1/3",
  "⅔": " 2/3",
};
export const spelled = (text: string) =>
  text.replace(/[⅛⅜⅝⅞⅓⅔]/g, (sign) => BROKEN[sign] ?? sign).replace(/^ /, "");

/** The fire line as a drawing of its own, in black and white. */
export function drawn(plan: PlanResponse): string {
  const page = renderToStaticMarkup(
    <FireLine {...ofPlan(plan)} start={new Date(plan.startAt)} width={LINE_PX} height={180} />,
  );
  const svg = page.slice(page.indexOf("<svg"), page.indexOf("</svg>") + "</svg>".length);
  return spelled(svg)
    .replace(/var\(--([a-z-]+)\)/g, (_, name: string) => INKS[name] ?? "#000")
    .replace(/<title>.*?<\/title>/, "")
    .replace("<svg", '<svg xmlns="http://www.w3.org/2000/svg" font-family="Body"');
}

const box = (): TableCell => ({
  canvas: [{ type: "rect", x: 0, y: 2, w: 9, h: 9, lineWidth: 1, lineColor: "#000" }],
});
const rule = (words: string): Content => ({
  columns: [
    { width: "auto", text: words },
    { width: "*", canvas: [{ type: "line", x1: 0, y1: 11, x2: WIDTH - 90, y2: 11, lineWidth: 0.7 }] },
  ],
  columnGap: 8,
  margin: [0, 9, 0, 0],
});
const lined = {
  hLineWidth: () => 0.5,
  vLineWidth: () => 0,
  hLineColor: () => "#999",
  paddingLeft: (i: number) => (i > 3 ? 6 : 0),
  paddingTop: () => 3,
  paddingBottom: () => 3,
};

/** The sheet as a document of one page, which the same words as the printed one fill. */
export function paper(plan: PlanResponse, name: string, notes?: string[]): TDocumentDefinitions {
  const { begins, ready } = hours(plan);
  const { amount, rest } = water(plan);
  const ask = plan.ask ?? [];
  const also = taken(plan, notes);
  const done = steps(plan);
  const outs = measuredOut(plan.additions);
  const size = SIZES[crowded(plan, outs, notes)];
  const small = size - 1;
  const content: Content[] = [
    {
      columns: [
        { width: "*", text: spelled(name), fontSize: size * 1.9, bold: true },
        {
          width: "auto",
          text: partsOf<string | Content>("sheet.ready", { begins, ready: { text: ready, bold: true } }),
          margin: [0, size * 0.7, 0, 0],
        },
      ],
    },
    { canvas: [{ type: "line", x1: 0, y1: 2, x2: WIDTH, y2: 2, lineWidth: 1.5 }], margin: [0, 0, 0, 6] },
    { text: spelled(order(plan)) },
    {
      columns: [
        { width: 16, ...(box() as object) } as Content & { width: number },
        { width: "*", text: [{ text: `${amount} `, bold: true }, spelled(rest.trimStart())] },
      ],
      margin: [0, 4, 0, 6],
    },
    { text: say("sheet.measureOut"), fontSize: size * 1.25, bold: true },
    {
      table: {
        widths: [16, 52, "*", "auto", "auto"],
        body: outs.map((o) => {
          const m = measure(o);
          return [
            box(),
            {
              text: [{ text: spelled(m.mass.number), bold: true, fontSize: size * 1.35 }, ` ${m.mass.unit}`],
            },
            {
              text: [
                { text: m.name, bold: true },
                { text: `  ${m.how}`, fontSize: small },
              ],
            },
            { text: spelled(m.measure), bold: m.weigh },
            { text: m.spread, fontSize: small, alignment: "right" },
          ];
        }),
      },
      layout: lined,
    },
    { svg: drawn(plan), width: WIDTH, margin: [0, 8, 0, 4] },
    { text: say("sheet.whatIsDone"), fontSize: size * 1.25, bold: true },
    {
      table: {
        headerRows: 1,
        widths: [16, 44, "*", 52, 74],
        body: [
          ["", "clock", "step", "takes", say("sheet.asItWas")].map((text) => ({ text, fontSize: small })),
          ...done.map((s) => [
            box(),
            s.clock,
            spelled(s.words),
            { text: s.takes, alignment: "right" as const },
            { text: "", border: [true, false, false, true] as [boolean, boolean, boolean, boolean] },
          ]),
        ],
      },
      layout: { ...lined, vLineWidth: (i: number) => (i === 4 ? 0.5 : 0), vLineColor: () => "#999" },
    },
    {
      columns: [
        plan.cautions.map((c) => ({
          text: [{ text: `${SEVERITIES[c.severity] ?? say("sheet.note")}: `, bold: true }, spelled(c.text)],
          margin: [0, 0, 0, 2],
        })),
        ask.length > 0
          ? [
              { text: say("sheet.whenToStopAndAsk"), bold: true },
              ...ask.map((a) => ({ text: `${capital(a.signs)}.`, margin: [0, 0, 0, 2] })),
            ]
          : [],
      ] as Content[],
      columnGap: 16,
      fontSize: small,
      margin: [0, 8, 0, 0],
    },
    ...(also ? [{ text: spelled(also), margin: [0, 6, 0, 0] } as Content] : []),
    { text: ESTIMATE, fontSize: small, margin: [0, 6, 0, 0] },
    rule(say("sheet.howItWasTitle")),
    rule(say("sheet.nextTimeTitle")),
  ];
  return {
    info: { title: name },
    pageSize: "A4",
    pageMargins: [(595 - WIDTH) / 2, 30, (595 - WIDTH) / 2, 24],
    defaultStyle: { font: say("sheet.body"), fontSize: size, lineHeight: 1.12 },
    content,
  };
}

async function base64(url: string): Promise<string> {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer());
  let text = "";
  for (const b of bytes) text += String.fromCharCode(b);
  return btoa(text);
}

/** The sheet as a PDF file, made here. @throws when the faces cannot be fetched */
export async function pdfOf(plan: PlanResponse, name: string, notes?: string[]): Promise<File> {
  const [body, heavy] = await Promise.all([base64(regular), base64(bold)]);
  const faces = { Body: { normal: "body", bold: "heavy", italics: "body", bolditalics: "heavy" } };
  const made = pdfMake.createPdf(paper(plan, name, notes), undefined, faces, { body, heavy });
  const blob = await new Promise<Blob>((done) => made.getBlob(done));
  return new File([blob], `${name.replace(/[^\p{L}\p{N} -]/gu, "")}.pdf`, { type: "application/pdf" });
}

/** Hands a file to the device's own way of sharing, or keeps it among its downloads. */
export async function share(file: File): Promise<void> {
  const offered = { files: [file], title: file.name };
  if (navigator.canShare?.(offered)) {
    await navigator.share(offered).catch((e: unknown) => {
      // Whoever closes the device's sheet wanted nothing of it.
      if (!(e instanceof DOMException && e.name === "AbortError")) throw e;
    });
    return;
  }
  const link = document.createElement("a");
  link.href = URL.createObjectURL(file);
  link.download = file.name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
