// What another program makes of reference formats. Reads { to, text } as JSON from standard input and writes
// the text in the other format: "csl", "ris" or "bibtex".
import { readFileSync } from "node:fs"
import { Cite } from "@citation-js/core"
import "@citation-js/plugin-bibtex"
import "@citation-js/plugin-csl"
import "@citation-js/plugin-ris"

const { to, text } = JSON.parse(readFileSync(0, "utf8"))
const read = new Cite(text, { generateGraph: false })
process.stdout.write(to === "csl" ? JSON.stringify(read.data) : read.format(to))
