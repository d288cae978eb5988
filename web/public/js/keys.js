// Keys, each shown where it acts: single letters only while the reading desk has the focus and nothing is being typed.
(() => {
  const typing = (target) => target.matches("input, textarea, select");

  const atDesk = (event) => {
    const desk = document.querySelector("[data-desk]");
    if (!desk || typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
    if (!desk.contains(event.target) && event.target !== document.body) return;
    const button = desk.querySelector(`[data-key="${CSS.escape(event.key.toLowerCase())}"]`);
    if (!button) return;
    event.preventDefault();
    button.click();
  };

  // Down from an entry line into its offers and up again; Escape clears them.
  const inEntry = (event) => {
    const entry = event.target.closest(".entry");
    if (!entry) return;
    const stops = [entry.querySelector("[data-entry]"), ...entry.querySelectorAll(".offer:not(:disabled)")];
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const place = stops.indexOf(event.target);
    if (step && place >= 0 && stops[place + step]) { event.preventDefault(); stops[place + step].focus(); }
    if (event.key === "Escape") { stops[0].value = ""; entry.querySelector(".offers").replaceChildren(); stops[0].focus(); }
  };

  // What is open on Word closes with Escape; an open term moves among its neighbours.
  const onCard = (event) => {
    const card = document.querySelector("#card");
    if (!card || event.target.closest(".entry-line, .offers")) return;
    const move = event.altKey && { ArrowUp: "up", ArrowDown: "down" }[event.key];
    const button = event.key === "Escape" ? card.querySelector("[data-close-card]") : move && card.querySelector(`[data-move="${move}"]:not(:disabled)`);
    if (!button) return;
    event.preventDefault();
    button.click();
  };

  // A list that is pasted into an entry line goes into the box for lists, line by line.
  document.addEventListener("paste", (event) => {
    const entry = event.target.closest("[data-entry]");
    const list = entry && event.clipboardData.getData("text");
    if (!list || !list.trim().includes("\n")) return;
    event.preventDefault();
    htmx.ajax("GET", entry.dataset.listAt, { target: "#page", select: "#page", swap: "outerHTML" }).then(() => {
      const box = document.querySelector("[data-list]");
      box.value = list;
      box.focus();
    });
  });

  // One change back, or forth again, unless something is being typed: there the keys mean the typing.
  const backOrForth = (event) => {
    if (!(event.ctrlKey || event.metaKey) || event.altKey || typing(event.target)) return;
    const key = event.key.toLowerCase();
    const way = key === "z" ? (event.shiftKey ? "redo" : "undo") : key === "y" ? "redo" : null;
    const button = way && document.querySelector(`[data-way="${way}"]:not(:disabled)`);
    if (!button) return;
    event.preventDefault();
    button.click();
  };

  document.addEventListener("keydown", (event) => { atDesk(event); inEntry(event); onCard(event); backOrForth(event); });

  // A page that was renewed in part gives the focus back to the control that was used, or to the work.
  let used = null;
  // The paper that is read stays where it was read, as long as it is the same one.
  let read = null;
  const backToPlace = () => {
    const paper = document.querySelector("[data-paper]");
    if (paper && read && paper.dataset.paper === read.id) paper.scrollTop = read.at;
  };
  document.addEventListener("htmx:beforeSwap", (event) => {
    const paper = document.querySelector("[data-paper]");
    read = paper && { id: paper.dataset.paper, at: paper.scrollTop };
    // What is about to go needs no layout of its own beside what comes.
    if (event.detail.shouldSwap && event.target.id === "page") event.target.hidden = true;
    const at = document.activeElement;
    if (!at || at.id) { used = null; return; }
    if (at.dataset.edge) { used = `[data-edge="${at.dataset.edge}"]`; return; }
    const name = at.name ? `[name="${CSS.escape(at.name)}"]` : "";
    const value = at.value ? `[value="${CSS.escape(at.value)}"]` : "";
    used = at.form && `form[action="${CSS.escape(at.form.getAttribute("action"))}"] ${at.localName}${name}${value}`;
  });
  const giveBack = () => {
    if (document.activeElement !== document.body) return;
    ((used && document.querySelector(used)) || document.querySelector("#work")).focus({ preventScroll: true });
  };

  // After a decision the desk keeps the keys, and the open title stays in sight.
  const settle = () => {
    const desk = document.querySelector("[data-desk]");
    if (desk && !desk.contains(document.activeElement)) desk.focus({ preventScroll: true });
    // Within the list alone: in a narrow window the page must not leave the paper.
    document.querySelectorAll(".title-list [aria-current]").forEach((title) => {
      const list = title.closest(".title-list").getBoundingClientRect();
      const at = title.getBoundingClientRect();
      const by = at.top < list.top ? at.top - list.top : Math.max(at.bottom - list.bottom, 0);
      title.closest(".title-list").scrollTop += by;
    });
  };
  // A message stands at its field: it takes the focus there, into the middle of the window.
  const toTrouble = () => {
    const field = refused && document.querySelector("#work [aria-invalid=true]");
    const place = field || (refused && document.querySelector("#work .problem"));
    refused = false;
    if (!place) return false;
    place.scrollIntoView({ block: "center" });
    field?.focus({ preventScroll: true });
    return true;
  };

  let refused = false;
  document.addEventListener("htmx:beforeSwap", (event) => { refused = Boolean(event.detail.xhr.getResponseHeader("Hobrin-Refused")); });
  document.addEventListener("htmx:afterSettle", (event) => {
    backToPlace();
    if (event.target.matches(".offers")) event.target.scrollIntoView({ block: "nearest" });
    const card = document.querySelector("#card");
    if (card) card.scrollIntoView({ block: "nearest" });
    if (toTrouble()) return;
    // What was just chosen asks for one thing more.
    if (document.activeElement?.id === "design") document.querySelector("[data-ask]")?.focus();
    settle();
    giveBack();
  });
  document.addEventListener("DOMContentLoaded", settle);
})();
