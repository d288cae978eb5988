// Says the number under a slider while it moves; the page follows when it rests.
document.addEventListener("input", (event) => {
  if (!event.target.matches("input[type=range]")) return;
  const output = document.querySelector(`output[for="${event.target.id}"]`);
  if (output) output.textContent = event.target.value;
});
