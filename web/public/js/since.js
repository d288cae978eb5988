// Two windows on one inquiry: when this one is looked at again, it says what the other one changed meanwhile.
(() => {
  const look = () => {
    const line = document.querySelector("#since");
    if (!line || document.visibilityState !== "visible") return;
    fetch(line.dataset.since, { headers: { "HX-Request": "true" } })
      .then((answer) => (answer.ok ? answer.text() : ""))
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
})();
