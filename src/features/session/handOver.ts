/** Puts a file into the reader's downloads. */
export function handOver(name: string, type: string, content: string | Uint8Array<ArrayBuffer>): void {
  const link = window.document.createElement('a');
  link.href = URL.createObjectURL(new Blob([content], { type }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href));
}
