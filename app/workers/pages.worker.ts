// Reads a PDF in a worker: the package sets itself up where it finds itself in one.
import 'pdfjs-dist/build/pdf.worker.min.mjs';
