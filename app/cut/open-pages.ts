import { getDocument, PDFWorker } from 'pdfjs-dist';

/** A print opened to be looked at: its pages, drawn one at a time. */
export interface OpenPages {
  readonly count: number;
  /** Draws a page, from 1, as large as a box in CSS pixels holds it; `more` draws it so many times larger. */
  readonly draw: (canvas: HTMLCanvasElement, page: number, box: PageBox, more: number) => Promise<void>;
  readonly close: () => void;
}

/** The room for a page, in CSS pixels. */
export interface PageBox {
  readonly width: number;
  readonly height: number;
}

/**
 * Opens the bytes of a PDF to look at its very pages, read back in a worker as it will be printed. Rejects where it
 * cannot be read, or the worker breaks down.
 */
export async function openPages(bytes: Uint8Array): Promise<OpenPages> {
  const port = new Worker(new URL('../workers/pages.worker.ts', import.meta.url), { type: 'module' });
  const broken = new Promise<never>((_, fail) => {
    port.onerror = (event) => {
      event.preventDefault();
      fail(new Error('The pages could not be opened'));
    };
  });
  const worker = PDFWorker.fromPort({ port }) as PDFWorker;
  // Letters are drawn as outlines: no face has to be handed to the page.
  const opening = getDocument({ data: bytes.slice(), worker, disableFontFace: true, isEvalSupported: false });
  const close = (): void => {
    void opening.destroy();
    worker.destroy();
    port.terminate();
  };
  try {
    const pdf = await Promise.race([opening.promise, broken]);
    return {
      count: pdf.numPages,
      close,
      draw: async (canvas, number, box, more) => {
        const page = await Promise.race([pdf.getPage(number), broken]);
        const whole = page.getViewport({ scale: 1 });
        const shown = more * Math.min(box.width / whole.width, box.height / whole.height);
        const fine = Math.min(2, globalThis.devicePixelRatio || 1);
        const viewport = page.getViewport({ scale: shown * fine });
        canvas.width = Math.round(viewport.width);
        canvas.height = Math.round(viewport.height);
        canvas.style.width = `${whole.width * shown}px`;
        canvas.style.height = `${whole.height * shown}px`;
        const canvasContext = canvas.getContext('2d');
        if (canvasContext) await Promise.race([page.render({ canvasContext, viewport }).promise, broken]);
      },
    };
  } catch (error) {
    close();
    throw error;
  }
}
