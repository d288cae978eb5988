// What another program reads in a QR code. Reads a picture as PPM (P6) from standard input and writes the text.
import { readFileSync } from "node:fs"
import jsQR from "jsqr"

const bytes = readFileSync(0)
const head = bytes.subarray(0, 64).toString("latin1").match(/^P6\s+(\d+)\s+(\d+)\s+255\s/)
const [width, height] = [Number(head[1]), Number(head[2])]
const pixels = new Uint8ClampedArray(width * height * 4).fill(255)
for (let at = 0; at < width * height; at++) pixels.set(bytes.subarray(head[0].length + at * 3, head[0].length + at * 3 + 3), at * 4)
const found = jsQR.default ? jsQR.default(pixels, width, height) : jsQR(pixels, width, height)
process.stdout.write(found ? found.data : "")
