// Several papers at once on Sift: Shift and the arrow keys tick papers along the list, and the number is said.
(() => {
  const desk = () => document.querySelector("[data-desk]");
  const boxes = () => [...document.querySelectorAll("[data-choose]")];

  const count = () => {
    const said = document.querySelector("[data-chosen-count]");
    if (!said) return;
    const whole = document.querySelector("[data-whole]");
    const size = whole && whole.checked ? Number(whole.value) : boxes().filter((box) => box.checked).length;
    said.textContent = size ? `${size} chosen` : "";
    if (size) document.querySelector("[data-several]").open = true;
    document.querySelectorAll("#several button[name]").forEach((button) => { button.disabled = size === 0; });
  };

  let last = null;
  document.addEventListener("keydown", (event) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!step || !event.shiftKey || !desk() || event.target.matches("input:not([type=checkbox]), select, textarea")) return;
    const all = boxes();
    if (!all.length) return;
    event.preventDefault();
    const open = all.findIndex((box) => box.parentElement.querySelector("[aria-current]"));
    const from = last !== null && all[last] && all[last].checked ? last : Math.max(open, 0);
    const to = all[from].checked ? Math.min(Math.max(from + step, 0), all.length - 1) : from;
    all[to].checked = true;
    last = to;
    all[to].scrollIntoView({ block: "nearest" });
    count();
  });

  document.addEventListener("change", (event) => {
    if (event.target.matches("[data-choose], [data-whole]")) count();
    if (event.target.matches("[data-reason]")) document.querySelector("[data-drop]").value = event.target.value;
  });

  const ready = () => {
    last = null;
    count();
    document.querySelectorAll("[data-copy], [data-print]").forEach((button) => { button.hidden = false; });
  };
  document.addEventListener("click", (event) => {
    const copy = event.target.closest("[data-copy]");
    if (copy) {
      navigator.clipboard.writeText(document.querySelector(copy.dataset.copy).textContent.trim());
      copy.textContent = "Copied";
    }
    if (event.target.closest("[data-print]")) window.print();
  });
  document.addEventListener("DOMContentLoaded", ready);
  document.addEventListener("htmx:afterSettle", ready);
})();
