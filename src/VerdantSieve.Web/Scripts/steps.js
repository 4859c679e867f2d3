// Keys for what goes step by step: a set of practice, a key that is worked. Everything works without it.
(() => {
  const $ = (selector) => document.querySelector(selector);

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target.closest("input:not([type=radio]):not([type=checkbox]), textarea, select")) return;
    const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
    if (event.shiftKey && digit) {
      const certainty = document.querySelectorAll("#main input[name=certainty]")[digit - 1];
      if (!certainty) return;
      certainty.checked = true;
    } else if (event.shiftKey) return;
    else if (digit) pressed(`#main [data-key="${digit}"]`);
    else if (event.key === "Enter" && !event.target.closest("a, button, summary, label, input")) pressed("#onward");
    else if (event.key === "u" || event.key === "z") pressed(`#main [data-key="${event.key}"]`);
    else return;
    event.preventDefault();
  });

  const pressed = (selector) => $(selector)?.click();
})();
