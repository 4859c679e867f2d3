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
      htmx.ajax("GET", several, { target: "#main", swap: "morph:outerHTML show:none" });
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

  // A page that changes keeps what stays the same in it: a tap that has begun is not lost, an open part stays open, and what is being typed
  // is not overwritten.
  let typed = false;
  document.addEventListener("input", (event) => {
    typed ||= event.target.id === "say";
    event.target.typed = true;
  });
  document.addEventListener("look:taken", (event) => {
    for (const field of event.target.elements) field.typed = false;
    if (event.target.id !== "saying") return;
    typed = false;
    $("#say").value = "";
    $("#heard").replaceChildren();
  });
  // A field that is typed in stays as it is where it is still the same question's.
  const formOf = (field) => field.closest?.("form");
  const asks = (form) => form?.getAttribute("action") + " " + form?.querySelector("[name=character]")?.value;
  const asksTheSame = (old, next) => old.name === next.getAttribute?.("name") && asks(formOf(old)) === asks(formOf(next));
  Object.assign(Idiomorph.defaults.callbacks, {
    beforeNodeMorphed: (old, next) => !(typed && (old.id === "say" || old.id === "heard")) && !(old.typed && asksTheSame(old, next)),
    beforeAttributeUpdated: (name, element) => !(name === "open" && element.matches("details")),
  });

  // What was looked at stands still: after a change the next question stands where the old one stood.
  let stood, room, within, asked, askedAt = 0;
  const anchor = () => $("#next")?.getBoundingClientRect().top;
  function before() {
    stood = anchor();
    // A page that became shorter would be pushed down by its end: it stays as long as the place where it is looked at needs.
    room = Math.min(document.documentElement.scrollHeight, window.scrollY + window.innerHeight + ($(".foot")?.offsetHeight ?? 0));
    within = document.activeElement?.closest("#question") !== null;
    asked = $("#asks")?.textContent;
  }
  function after() {
    const main = $("#main");
    const lacks = room - document.documentElement.scrollHeight;
    if (lacks > 0) main.style.minHeight = `${main.offsetHeight + lacks}px`;
    const now = anchor();
    if (stood !== undefined && now !== undefined) {
      window.scrollBy({ top: now - stood, behavior: "instant" });
      // At the top of the page nothing can be scrolled away: what stands above takes the room it had.
      const lower = stood - anchor(), above = $(".standing");
      if (lower > 0 && above) above.style.minHeight = `${above.offsetHeight + lower}px`;
    }
    stood = undefined;
    if ($("#asks")?.textContent !== asked) askedAt = performance.now();
    // Who goes by keys stays in the question.
    if (within && document.activeElement === document.body) $("#asks")?.focus({ preventScroll: true });
  }
  document.addEventListener("look:before", before);
  document.addEventListener("look:after", after);
  document.addEventListener("htmx:beforeSwap", (event) => event.detail.target.id === "main" && before());
  document.addEventListener("htmx:afterSwap", (event) => event.detail.target.id === "main" && event.detail.xhr && after());

  // The second half of a double tap answers no question that has only just come.
  document.addEventListener("click", (event) => {
    if (event.detail < 2 || performance.now() - askedAt > 400 || !event.target.closest("#question .state")) return;
    event.preventDefault();
    event.stopPropagation();
  }, true);

  // After a change the sentence is read out, and a message at a field takes the focus.
  document.addEventListener("htmx:afterSettle", (event) => {
    if (event.detail.target?.id === "heard") return;
    const spoken = $("#said");
    if (spoken && $("#sentence")) spoken.textContent = $("#sentence").textContent;
    $("#question [aria-invalid=true]")?.focus();
  });
})();
