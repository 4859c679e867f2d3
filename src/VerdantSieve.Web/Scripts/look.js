// Keys, focus and the spoken sentence of a look. Everything works without it.
(() => {
  const $ = (selector) => document.querySelector(selector);
  const typing = (target) => target.closest("input:not([type=radio]):not([type=checkbox]), textarea, select, dialog[open]");

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || !$(".look")) return;
    if (typing(event.target)) {
      if (event.key === "Escape") event.target.blur();
      return;
    }
    const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
    if (event.shiftKey && digit && digit <= 3) {
      const certainty = document.querySelectorAll("input[name=certainty]")[digit - 1];
      if (certainty) certainty.checked = true;
    } else if (event.shiftKey && event.key !== "?" && event.key !== "/") return;
    else if (digit) pressed(`#question [data-key="${digit}"]`) ?? tick(digit);
    else if (event.key === "u") pressed('#question [data-key="u"]');
    else if (event.key === "n") $(".others li:not(.waits) a")?.click();
    else if (event.key === "z") pressed("#undo:not([disabled])");
    else if (event.key === "/") $("#find")?.focus();
    else if (event.key === "?") $("#keys")?.showModal();
    else return;
    event.preventDefault();
  });

  function pressed(selector) {
    const button = $(selector);
    button?.click();
    return button;
  }

  // Where several states are chosen, a digit ticks its box.
  function tick(digit) {
    const box = document.querySelectorAll("#question .several input")[digit - 1];
    if (box) box.checked = !box.checked;
  }

  document.addEventListener("change", (event) => {
    event.target.closest("form[data-submit-on-change]")?.requestSubmit();
  });

  // After a change the sentence is read out, and a message at a field takes the focus.
  document.addEventListener("htmx:afterSettle", () => {
    const said = $("#said");
    if (said && $("#sentence")) said.textContent = $("#sentence").textContent;
    $("#question [aria-invalid=true]")?.focus();
  });
})();
