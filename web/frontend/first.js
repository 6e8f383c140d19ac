// Before anything is painted: pages are arranged otherwise where there is a script.
document.documentElement.classList.add("scripted");
