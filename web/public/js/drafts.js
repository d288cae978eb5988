// Numbers that are typed and not saved yet stay as a draft of this window until they are saved or discarded: whoever looks at
// another part of the page, and comes back, finds them again.
(() => {
  const SELECTOR = "form[data-saves=leaving]";
  const formOf = (target) => target.closest && target.closest(SELECTOR);

  // What the form is about: where it stands, and which paper, outcome or measure it is for.
  const about = (form) => {
    const hidden = [...form.querySelectorAll("input[type=hidden]")].filter(({ name }) => !/^(authenticity_token|seen|next)$/.test(name));
    return `draft ${form.getAttribute("action")} ${hidden.map(({ name, value }) => `${name}=${value}`).join("&")}`;
  };

  const fields = (form) => [...form.elements].filter(({ name, type }) => name && !/^(hidden|submit|button|fieldset)$/.test(type));
  const valueOf = (field) => (/^(checkbox|radio)$/.test(field.type) ? field.checked : field.value);
  const keyOf = (field) => (field.type === "radio" ? `${field.name}=${field.value}` : field.name);
  const read = (form) => Object.fromEntries(fields(form).map((field) => [keyOf(field), valueOf(field)]));

  const keep = (event) => {
    const form = formOf(event.target);
    if (form) sessionStorage.setItem(about(form), JSON.stringify(read(form)));
  };
  document.addEventListener("input", keep);
  document.addEventListener("change", keep);

  const forget = (form) => sessionStorage.removeItem(about(form));
  document.addEventListener("saved", (event) => forget(event.target));

  // A form that was sent and taken has no draft any more; one that was refused shows what was typed by itself.
  let sent = null;
  document.addEventListener("htmx:beforeSend", (event) => { sent = formOf(event.detail.elt) && about(event.detail.elt); });
  document.addEventListener("htmx:beforeSwap", (event) => {
    const { xhr } = event.detail;
    if (sent && xhr.status < 300 && !xhr.getResponseHeader("Hobrin-Refused")) sessionStorage.removeItem(sent);
    sent = null;
  });

  const write = (form, draft) => {
    fields(form).forEach((field) => {
      const value = draft[keyOf(field)];
      if (value === undefined) return;
      if (/^(checkbox|radio)$/.test(field.type)) field.checked = value; else field.value = value;
      if (value !== "" && value !== false) field.closest("details")?.setAttribute("open", "");
    });
  };

  const differs = (form, draft) => Object.entries(read(form)).some(([name, value]) => name in draft && draft[name] !== value);

  const say = (form) => {
    const line = document.createElement("p");
    line.className = "draft doubt";
    line.append("Not saved yet: this is what you typed before. ");
    const discard = document.createElement("button");
    discard.type = "button";
    discard.className = "link";
    discard.textContent = "Discard";
    discard.addEventListener("click", () => { forget(form); location.reload(); });
    line.append(discard);
    form.prepend(line);
  };

  const restore = () => {
    document.querySelectorAll(SELECTOR).forEach((form) => {
      const kept = sessionStorage.getItem(about(form));
      if (!kept || form.querySelector("[aria-invalid], .draft")) return;
      const draft = JSON.parse(kept);
      if (!differs(form, draft)) { forget(form); return; }
      write(form, draft);
      say(form);
    });
  };
  document.addEventListener("DOMContentLoaded", restore);
  document.addEventListener("htmx:afterSettle", restore);
})();
