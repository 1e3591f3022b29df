/** A worker that was just begun, told how this page says its figures; what it is asked comes after. */
export function begun(worker: Worker): Worker {
  worker.postMessage({ decimalMark: globalThis.decimalMark?.() ?? '.' });
  return worker;
}
