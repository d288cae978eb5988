// Dates by two handles under the papers of each year: the handles and the typed years follow each other, and what the span
// would leave is added up from the picture.
(() => {
  const parts = (form) => ({
    bars: [...form.querySelectorAll("[data-year]")],
    handles: ["from", "to"].map((side) => form.querySelector(`[data-handle="${side}"]`)),
    typed: ["from_year", "to_year"].map((name) => form.elements[name]),
    within: form.querySelector("[data-within]"),
  });

  const tell = ({ bars, handles, within }) => {
    const [from, to] = handles.map((handle) => Number(handle.value));
    let papers = 0;
    bars.forEach((bar) => {
      const inside = Number(bar.dataset.year) >= from && Number(bar.dataset.year) <= to;
      bar.classList.toggle("within", inside);
      if (inside) papers += Number(bar.dataset.papers);
    });
    within.textContent = `${papers} ${papers === 1 ? "paper" : "papers"}`;
  };

  // The one that is moved takes the other along when they would cross.
  const move = (form, side) => {
    const all = parts(form);
    const [mine, other] = side === "from" ? [0, 1] : [1, 0];
    const crossed = Number(all.handles[0].value) > Number(all.handles[1].value);
    if (crossed) all.handles[other].value = all.handles[mine].value;
    // What was typed on the side that did not move stays: it may lie beyond the picture.
    (crossed ? [mine, other] : [mine]).forEach((place) => { all.typed[place].value = all.handles[place].value; });
    tell(all);
  };

  const type = (form) => {
    const all = parts(form);
    all.typed.forEach((field, place) => {
      const handle = all.handles[place];
      handle.value = /^\d{4}$/.test(field.value) ? field.value : (place === 0 ? handle.min : handle.max);
    });
    tell(all);
  };

  const show = () => document.querySelectorAll("[data-years]").forEach((form) => {
    const { handles } = parts(form);
    if (!handles[0]) return;
    handles.forEach((handle) => { handle.hidden = false; });
    tell(parts(form));
  });

  document.addEventListener("input", (event) => {
    const form = event.target.closest("[data-years]");
    if (!form || !form.querySelector("[data-handle]")) return;
    event.target.dataset.handle ? move(form, event.target.dataset.handle) : type(form);
  });
  document.addEventListener("DOMContentLoaded", show);
  document.addEventListener("htmx:load", show);
})();
