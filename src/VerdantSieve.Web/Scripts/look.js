// Keys, focus, the spoken sentence and the steady page of a look. Everything works without it.
(() => {
  const $ = (selector) => document.querySelector(selector);
  const typing = (target) => target.closest("input:not([type=radio]):not([type=checkbox]), textarea, select, dialog[open]");

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || !$(".look")) return;
    if (typing(event.target)) {
      if (event.key === "Escape") event.target.blur();
      // Enter takes what was said; with Shift it is a new line.
      if (event.key === "Enter" && !event.shiftKey && event.target.id === "say") {
        event.preventDefault();
        event.target.form.requestSubmit();
      }
      return;
    }
    const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
    const onControl = event.target.closest("button, a, summary, label, input");
    if (event.shiftKey && digit && digit <= 3) {
      const certainty = document.querySelectorAll("#question input[name=certainty]")[digit - 1];
      if (certainty) certainty.checked = true;
    } else if (event.shiftKey && event.key !== "?" && event.key !== "/") return;
    else if (event.key === "i" || (event.key === " " && !onControl)) $("#say")?.focus();
    else if (digit) pressed(`#question [data-key="${digit}"]`) ?? tick(digit);
    else if (event.key === "u") pressed('#question [data-key="u"]');
    else if (event.key === "m") pressed("#several");
    else if (event.key === "g") pressed("#glancing");
    else if (event.key === "n") ($(".another") ?? $(".others li:not(.waits) a"))?.click();
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
    const box = document.querySelectorAll("#question .several input[type=checkbox]")[digit - 1];
    if (box) box.checked = !box.checked;
  }

  // A tap is answered at once: the state is pressed before the server has said anything.
  document.addEventListener("click", (event) => {
    const state = event.target.closest("button.state");
    if (!state || held) return;
    for (const other of state.parentElement.children) other.classList.toggle("pressed", other === state);
    if (state.name !== "states" || state.classList.contains("chosen")) return;
    const moved = document.createElement("li");
    moved.className = "moved";
    moved.textContent = state.querySelector(".label")?.lastChild?.textContent.trim() ?? "";
    $("#meshes")?.append(moved);
  });

  // Held down, a state opens what else can be said of it.
  let holding, held = false;
  document.addEventListener("pointerdown", (event) => {
    const state = event.target.closest("#question button.state[name=states]");
    const several = state?.form.dataset.several;
    held = false;
    if (!several) return;
    holding = setTimeout(() => {
      held = true;
      setTimeout(() => (held = false), 1500);
      htmx.ajax("GET", several, { target: "#main", swap: "outerHTML show:none" });
    }, 550);
  });
  for (const end of ["pointerup", "pointercancel", "pointermove", "scroll"])
    document.addEventListener(end, (event) => {
      if (end !== "pointermove" || Math.hypot(event.movementX, event.movementY) > 4) clearTimeout(holding);
    }, true);
  document.addEventListener("click", (event) => {
    if (!held) return;
    held = false;
    event.preventDefault();
    event.stopPropagation();
  }, true);

  // Where this device is, where it can tell and is let.
  const here = $("#here");
  if (here && navigator.geolocation) {
    here.hidden = false;
    here.addEventListener("click", () => {
      $("#here-said").textContent = "Asking the device …";
      navigator.geolocation.getCurrentPosition(
        ({ coords }) => {
          const put = (field, value, digits) => { if (value !== null) $(`[name="Where.${field}"]`).value = value.toFixed(digits); };
          put("Latitude", coords.latitude, 4);
          put("Longitude", coords.longitude, 4);
          put("Elevation", coords.altitude, 0);
          $("#here-said").textContent = "Taken.";
        },
        () => ($("#here-said").textContent = "The device can’t tell, or may not. Type it instead."),
        { timeout: 10000 });
    });
  }

  document.addEventListener("change", (event) => {
    event.target.closest("form[data-submit-on-change]")?.requestSubmit();
  });

  // What was looked at stands still: after a change the next question stands where the old one stood, and the field keeps the focus.
  let stood, said;
  const anchor = () => $("#next")?.getBoundingClientRect().top;
  document.addEventListener("htmx:beforeSwap", (event) => {
    if (event.detail.target.id !== "main") return;
    stood = anchor();
    said = document.activeElement?.id === "say";
  });
  document.addEventListener("htmx:afterSwap", (event) => {
    if (stood === undefined || event.detail.target.id !== "main") return;
    const now = anchor();
    if (now !== undefined) window.scrollBy({ top: now - stood, behavior: "instant" });
    stood = undefined;
    const field = $("#say");
    if (said && field) {
      field.focus({ preventScroll: true });
      field.setSelectionRange(field.value.length, field.value.length);
    }
  });

  // After a change the sentence is read out, and a message at a field takes the focus.
  document.addEventListener("htmx:afterSettle", (event) => {
    if (event.detail.target.id === "heard") return;
    const spoken = $("#said");
    if (spoken && $("#sentence")) spoken.textContent = $("#sentence").textContent;
    $("#question [aria-invalid=true]")?.focus();
  });
})();
