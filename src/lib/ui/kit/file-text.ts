/**
 * The text of a file in the encodings that spreadsheets write: UTF-8, UTF-16 with its mark, else the one of western
 * Windows.
 */
export async function textOf(file: Blob): Promise<string> {
	const bytes = new Uint8Array(await file.arrayBuffer());
	const is = (a: number, b: number) => bytes[0] === a && bytes[1] === b;
	if (is(0xff, 0xfe)) return new TextDecoder('utf-16le').decode(bytes);
	if (is(0xfe, 0xff)) return new TextDecoder('utf-16be').decode(bytes);
	try {
		return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
	} catch {
		return new TextDecoder('windows-1252').decode(bytes);
	}
}
