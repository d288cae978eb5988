// Two windows on one inquiry: when this one is looked at again, it says what the other one changed meanwhile. Where
// people sign in, it asks now and then, and says who else is here; more often while somebody is. It asks instead of
// holding a line open: a browser has six lines to one address, which as many windows would take up.
(() => {
  const OFTEN = 15_000;
  const IN_COMPANY = 4_000;
  let alone = true;
  const look = () => {
    const line = document.querySelector("#since");
    if (!line || document.visibilityState !== "visible") return;
    fetch(line.dataset.since, { headers: { "HX-Request": "true" } })
      .then((answer) => {
        const here = decodeURIComponent((answer.headers.get("x-hobrin-here") || "").replaceAll("+", " "));
        const told = document.querySelector("#here");
        alone = !here;
        if (told) told.textContent = here && `Here now: ${here}`;
        return answer.ok ? answer.text() : "";
      })
      .then((words) => {
        if (!words) return;
        const again = document.createElement("a");
        again.href = location.href;
        again.textContent = "Show it as it is now";
        line.replaceChildren(words, " ", again);
        line.hidden = false;
      })
      .catch(() => {});
  };
  document.addEventListener("visibilitychange", look);
  window.addEventListener("focus", look);
  const often = () => document.querySelector("#since[data-often]") && look();
  const again = () => {
    often();
    setTimeout(again, alone ? OFTEN : IN_COMPANY);
  };
  setTimeout(again, OFTEN);
  document.addEventListener("DOMContentLoaded", often);
})();
