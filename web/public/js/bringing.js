// Files that are dropped or chosen on the library page go to Hobrin one by one, each in parts, so that a
// large one never has to fit into memory. Without scripts the form does the same for one file.
(() => {
  const token = () => JSON.parse(document.body.getAttribute("hx-headers"))["X-CSRF-Token"];

  // A part of a file at a time: nothing is sent twice, and nothing much before somebody is known.
  const PART = 8 * 1024 * 1024;

  const sendPart = (place, file, upload, at, said) => new Promise((done) => {
    const query = new URLSearchParams({ name: file.name, upload, at, size: file.size });
    const request = new XMLHttpRequest();
    request.open("POST", `${place.dataset.bring}?${query}`);
    request.setRequestHeader("X-CSRF-Token", token());
    request.setRequestHeader("HX-Request", "true");
    request.setRequestHeader("Content-Type", "application/octet-stream");
    request.upload.onprogress = (event) => {
      said.textContent = `${file.name}: ${Math.round(100 * (at + event.loaded) / file.size)} of 100 sent`;
    };
    const refused = () => request.status >= 300 || request.getResponseHeader("Hobrin-Refused");
    request.onload = () => done(refused() ? `${file.name}: ${request.responseText}` : "");
    request.onerror = () => done(`${file.name}: it could not be sent. Try again.`);
    request.send(file.slice(at, at + PART));
  });

  const send = async (place, file, said) => {
    const upload = [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, "0")).join("");
    let trouble = "";
    for (let at = 0; at === 0 || (at < file.size && !trouble); at += PART) trouble = await sendPart(place, file, upload, at, said);
    return trouble;
  };

  const bring = async (place, files) => {
    const said = place.querySelector(".bring-said");
    const troubles = [];
    for (const file of files) {
      const trouble = await send(place, file, said);
      if (trouble) troubles.push(trouble);
    }
    said.textContent = troubles.join(" ");
    window.htmx.ajax("GET", "/library", { target: "#imports", select: "#imports", swap: "outerHTML" });
  };

  // The list asks how far things are each second; while somebody reads or types in it, it stays as it is.
  const inUse = (list) => list.id === "imports" && list.querySelector("details[open], input:focus");
  document.addEventListener("htmx:beforeRequest", (event) => {
    if (inUse(event.target)) event.preventDefault();
  });
  // An answer that was asked for before is no longer wanted either.
  document.addEventListener("htmx:beforeSwap", (event) => {
    if (event.detail.requestConfig?.verb === "get" && inUse(event.target)) event.detail.shouldSwap = false;
  });

  const placeOf = (event) => event.target.closest && event.target.closest("[data-bring]");

  document.addEventListener("dragover", (event) => {
    const place = placeOf(event);
    if (!place) return;
    event.preventDefault();
    place.classList.add("over");
  });
  document.addEventListener("dragleave", (event) => placeOf(event)?.classList.remove("over"));
  document.addEventListener("drop", (event) => {
    const place = placeOf(event);
    if (!place) return;
    event.preventDefault();
    place.classList.remove("over");
    bring(place, [...event.dataTransfer.files]);
  });
  document.addEventListener("submit", (event) => {
    const place = placeOf(event);
    const files = place && [...place.querySelector("input[type=file]").files];
    if (!files || files.length === 0) return;
    event.preventDefault();
    bring(place, files);
    event.target.reset();
  });
})();
