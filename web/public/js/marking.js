// Remembers what is selected in the question, so that the buttons below it can say what it is.
(() => {
  let selected = null;

  // Places are counted in letters, not in the units that JavaScript counts.
  const letters = (text) => Array.from(text).length;

  const fromBox = (box) => {
    const { selectionStart: from, selectionEnd: to, value } = box;
    return from === to ? null : { text: value.slice(from, to), from: letters(value.slice(0, from)) };
  };

  const withoutLetters = (range) => {
    const part = range.cloneContents();
    part.querySelectorAll("sup").forEach((sup) => sup.remove());
    return part.textContent;
  };

  const fromSentence = (sentence) => {
    const selection = document.getSelection();
    if (selection.isCollapsed || !sentence.contains(selection.anchorNode) || !sentence.contains(selection.focusNode)) return null;
    const range = selection.getRangeAt(0);
    const before = document.createRange();
    before.setStart(sentence, 0);
    before.setEnd(range.startContainer, range.startOffset);
    return { text: withoutLetters(range), from: letters(withoutLetters(before)) };
  };

  const look = () => {
    const box = document.querySelector("[data-markable]");
    if (!box) return;
    if (document.activeElement === box) { selected = fromBox(box); return; }
    const found = fromSentence(document.querySelector("[data-sentence]"));
    if (found) selected = found;
  };

  document.addEventListener("selectionchange", look);
  document.addEventListener("select", look);
  document.addEventListener("htmx:afterSwap", () => { selected = null; });

  // Runs before the form is read.
  document.addEventListener("click", (event) => {
    const button = event.target.closest("[data-mark]");
    if (!button) return;
    const box = document.querySelector("[data-markable]");
    const mark = fromBox(box) || selected;
    button.form.elements.mark_text.value = mark ? mark.text : "";
    button.form.elements.mark_from.value = mark ? mark.from : "";
  }, true);
})();
