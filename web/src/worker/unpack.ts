/** The text of a file, unpacked where it is packed with gzip; it is known by its first bytes, whatever it is called. */

const GZIP = [0x1f, 0x8b] as const;

/** Undefined where more comes out than is allowed, or nothing that can be unpacked. */
export async function textOf(file: Blob, mostBytes: number): Promise<string | undefined> {
  const head = new Uint8Array(await file.slice(0, GZIP.length).arrayBuffer());
  if (!GZIP.every((byte, i) => head[i] === byte)) return file.text();
  const reader = file.stream().pipeThrough(new DecompressionStream("gzip")).getReader();
  const decoder = new TextDecoder();
  let text = "";
  let bytes = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return text + decoder.decode();
      bytes += value.length;
      if (bytes > mostBytes) {
        await reader.cancel();
        return undefined;
      }
      text += decoder.decode(value, { stream: true });
    }
  } catch {
    return undefined;
  }
}
