// Saves a form of written text when its reader turns away from it, so that nothing is lost when they are called away.
(() => {
  const changed = new WeakSet();
  const formOf = (target) => target.closest && target.closest("form[data-saves]");

  document.addEventListener("input", (event) => {
    const form = formOf(event.target);
    if (form) changed.add(form);
  });

  document.addEventListener("submit", (event) => changed.delete(event.target), true);

  const save = (form, next) => {
    if (!changed.has(form) || !form.isConnected) return;
    const field = document.createElement("input");
    field.type = "hidden";
    field.name = "next";
    field.value = next || "";
    form.append(field);
    form.requestSubmit();
  };

  // A choice is saved at once; text when the cursor leaves it, but not when it leaves for a button of the same form. What makes
  // sense only as a whole, such as the numbers of a paper, is saved when the page is left.
  const asWhole = (form) => form.dataset.saves === "leaving";
  document.addEventListener("change", (event) => {
    const form = formOf(event.target);
    if (!form) return;
    changed.add(form);
    if (asWhole(form)) return;
    if (event.target.matches("select, input[type=radio]")) save(form);
  });
  // A press on a label takes the cursor away to nowhere, and yet goes on in the form; what it chooses saves all.
  let pressed = null;
  document.addEventListener("pointerdown", (event) => {
    const target = event.target.closest && event.target.closest("label, button, input, select, textarea");
    pressed = target && target.closest("form");
    setTimeout(() => { pressed = null; });
  }, true);
  document.addEventListener("focusout", (event) => {
    const form = formOf(event.target);
    if (!form || asWhole(form) || !event.target.matches("textarea, input:not([type=radio])")) return;
    const goes = event.relatedTarget;
    if (goes ? goes.form === form || goes.closest("a") : pressed === form) return;
    save(form);
  });

  // A link to another step takes the written text along.
  document.addEventListener("click", (event) => {
    const link = event.target.closest("a.tab, .head a, .titles a, .dock a, .list-choices a, .list-note a");
    const form = document.querySelector("form[data-saves]");
    if (link && form && changed.has(form)) {
      event.preventDefault();
      fetch(form.action, { method: "POST", body: new URLSearchParams(new FormData(form)), headers: { "HX-Request": "true" } })
        .then((answer) => {
          const refused = !answer.ok || answer.headers.has("Hobrin-Refused");
          // Numbers that are not all there yet stay as a draft.
          const begun = [...form.querySelectorAll(".number-group input")].some(({ value }) => !value);
          if (refused && !begun) { form.requestSubmit(); return; }
          if (!refused) form.dispatchEvent(new CustomEvent("saved", { bubbles: true }));
          changed.delete(form);
          location.assign(link.href);
        })
        .catch(() => form.requestSubmit());
    }
    if (event.target.closest("[data-print]")) window.print();
  });

  // When nothing came back that could be shown, the page stays as it is, with all that was typed, and says so.
  const tell = (words) => {
    const trouble = document.querySelector("#trouble");
    trouble.textContent = words;
    trouble.hidden = !words;
  };
  document.addEventListener("htmx:beforeRequest", () => tell(""));
  document.addEventListener("htmx:sendError", () => tell("Hobrin cannot be reached. What you wrote is still here: try again in a moment."));
  document.addEventListener("trouble", (event) => tell(event.detail.value));
  document.addEventListener("htmx:responseError", (event) => tell(event.detail.xhr.responseText));

  window.addEventListener("beforeunload", (event) => {
    const form = document.querySelector("form[data-saves]");
    if (form && changed.has(form)) event.preventDefault();
  });
})();
