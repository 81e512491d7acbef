package app.velvetcrock.book;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The Book's first page: its questions. */
@Controller
class BookController {

    @GetMapping("/book")
    String book(Model model) {
        return "book/book";
    }
}
