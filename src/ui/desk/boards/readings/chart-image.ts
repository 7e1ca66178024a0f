/** A chart on screen as an image by itself. */

const DRAWN = [
  "fill",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "opacity",
  "fill-opacity",
];

/** The chart inside an element as an SVG document with its colours written out; null where it has none. */
export function chartSvg(inside: Element): string | null {
  const chart = inside.querySelector("svg");
  if (!chart) return null;
  const copy = chart.cloneNode(true) as SVGSVGElement;
  const shown = [chart, ...chart.querySelectorAll("*")];
  for (const [index, element] of [copy, ...copy.querySelectorAll("*")].entries()) {
    const original = shown[index];
    if (!original) continue;
    const style = getComputedStyle(original);
    for (const name of DRAWN) {
      const value = style.getPropertyValue(name);
      if (value) element.setAttribute(name, value);
    }
    element.removeAttribute("style");
    element.removeAttribute("class");
  }
  const { width, height } = chart.getBoundingClientRect();
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("width", String(Math.round(width)));
  copy.setAttribute("height", String(Math.round(height)));
  const sheet = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  sheet.setAttribute("width", "100%");
  sheet.setAttribute("height", "100%");
  sheet.setAttribute(
    "fill",
    getComputedStyle(document.documentElement).getPropertyValue("--sheet"),
  );
  copy.prepend(sheet);
  return new XMLSerializer().serializeToString(copy);
}

/** Pixels of the image for each of the screen. */
const SCALE = 2;

/** An SVG document drawn as a PNG. Rejects where the browser cannot draw it. */
export async function chartPng(svg: string): Promise<Uint8Array> {
  const image = new Image();
  const loaded = new Promise<void>((resolve, reject) => {
    image.addEventListener("load", () => resolve());
    image.addEventListener("error", () => reject(new Error("the chart could not be drawn")));
  });
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await loaded;
  const canvas = document.createElement("canvas");
  canvas.width = image.width * SCALE;
  canvas.height = image.height * SCALE;
  canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
  if (!blob) throw new Error("the chart could not be drawn");
  return new Uint8Array(await blob.arrayBuffer());
}
