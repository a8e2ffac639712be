document.title = "Ember Cup";
