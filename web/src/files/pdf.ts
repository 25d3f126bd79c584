import { getDocument, GlobalWorkerOptions, type PDFDocumentProxy } from 'pdfjs-dist'
import worker from 'pdfjs-dist/build/pdf.worker.min.mjs?url'

GlobalWorkerOptions.workerSrc = worker

const SHIPPED = `${import.meta.env.BASE_URL}assets/pdf/`

/** Opens a PDF; nothing in it is run, and nothing is fetched from elsewhere. */
export async function openPdf(bytes: ArrayBuffer): Promise<PDFDocumentProxy> {
  return getDocument({
    data: new Uint8Array(bytes),
    cMapUrl: `${SHIPPED}cmaps/`,
    standardFontDataUrl: `${SHIPPED}standard_fonts/`,
    useWasm: false,
    enableXfa: false,
  }).promise
}

/** Draws one page so wide, in CSS pixels. */
export async function drawPage(
  document: PDFDocumentProxy,
  number: number,
  canvas: HTMLCanvasElement,
  width: number,
): Promise<void> {
  const page = await document.getPage(number)
  const natural = page.getViewport({ scale: 1 })
  const viewport = page.getViewport({ scale: (width / natural.width) * window.devicePixelRatio })
  canvas.width = viewport.width
  canvas.height = viewport.height
  canvas.style.width = `${width}px`
  await page.render({ canvas, viewport }).promise
}
