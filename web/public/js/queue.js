// One change at a time. What is pressed while a change is under way waits until its page is there, and is sent with the version
// of that page: nobody gets in the way of their own last change. Where that change was refused, what waits is let go, so that the
// message and what was typed stay.
(() => {
  let under = null;
  const waiting = [];

  const sent = (form, button) => {
    const values = {};
    for (const [name, value] of new FormData(form, button)) {
      if (typeof value !== "string") return null;
      values[name] = name in values ? [].concat(values[name], value) : value;
    }
    return values;
  };

  document.addEventListener("htmx:confirm", (event) => {
    const { verb, elt, path, triggeringEvent } = event.detail;
    const form = elt.closest("form");
    if (!under || verb !== "post" || !form) return;
    const pressed = triggeringEvent && triggeringEvent.submitter;
    const values = sent(form, pressed && pressed.form === form ? pressed : undefined);
    if (!values) return;
    event.preventDefault();
    waiting.push({ path, values });
  });

  document.addEventListener("htmx:beforeSend", (event) => {
    if (event.detail.requestConfig.verb === "post") under = event.detail.xhr;
  });

  const next = () => {
    const change = waiting.shift();
    if (!change) return;
    const now = document.querySelector("input[name=seen]");
    if (now && "seen" in change.values) change.values.seen = now.value;
    window.htmx.ajax("POST", change.path, { values: change.values, target: "#page", select: "#page", swap: "outerHTML show:none" });
  };

  document.addEventListener("htmx:afterRequest", (event) => {
    if (event.detail.xhr !== under) return;
    const { status } = under;
    if (status < 200 || status >= 400 || under.getResponseHeader("Hobrin-Refused")) waiting.length = 0;
    under = null;
    next();
  });
})();
