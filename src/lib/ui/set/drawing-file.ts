/** Style a drawing on its own needs, since the page's sheet stays behind. */
const CARRIED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-opacity',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'paint-order',
  'font-size',
  'font-weight',
  'font-family'
] as const;

/** The drawing as a file of its own: with the colours it has on the page, and nothing that can be operated. */
export function drawingOf(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg, copy].map((root) => [root, ...root.querySelectorAll('*')] as Element[]);
  from!.forEach((element, index) => {
    const style = getComputedStyle(element);
    const twin = to![index]!;
    for (const name of CARRIED) {
      const value = style.getPropertyValue(name);
      if (value !== '' && value !== 'none 0px') twin.setAttribute(name, value);
    }
    for (const name of ['class', 'tabindex', 'role', 'aria-valuenow', 'aria-valuetext', 'style'])
      twin.removeAttribute(name);
  });
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  return new XMLSerializer().serializeToString(copy);
}

/** Twice as many pixels as on screen: a drawing is printed, too. */
const PNG_TIMES = 2;

/** The drawing as a picture on paper colour. */
export async function pngOf(svg: SVGSVGElement): Promise<Uint8Array> {
  const { width, height } = svg.getBoundingClientRect();
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawingOf(svg))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * PNG_TIMES);
  canvas.height = Math.round(height * PNG_TIMES);
  const brush = canvas.getContext('2d')!;
  brush.fillStyle = getComputedStyle(document.body).getPropertyValue('--paper') || '#fff';
  brush.fillRect(0, 0, canvas.width, canvas.height);
  brush.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('no picture came out');
  return new Uint8Array(await blob.arrayBuffer());
}
