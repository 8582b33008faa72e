package org.umberloom.app.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.util.HtmlUtils;

/** What the container gives up on, as a problem for programs and as a small page for people. */
@Controller
class ErrorPages implements ErrorController {
    private final ProblemWriter problems;

    ErrorPages(ProblemWriter problems) {
        this.problems = problems;
    }

    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        ProblemDetail problem =
                Problems.plain(status instanceof Integer code && HttpStatus.resolve(code) != null ? code : 404);
        problems.answer(request, response, problem);
    }

    /** Needs nothing that could be missing: no script, no style but its own, no file. */
    static void page(HttpServletResponse response, ProblemDetail problem) throws IOException {
        response.setStatus(problem.getStatus());
        response.setContentType("text/html;charset=UTF-8");
        response.setHeader("Cache-Control", "no-store");
        response.setHeader(
                "Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'self'");
        String again = problem.getStatus() == HttpStatus.SERVICE_UNAVAILABLE.value()
                ? "<meta http-equiv=\"refresh\" content=\"5\">"
                : "";
        response.getOutputStream()
                .write(
                        ("""
                <!DOCTYPE html>
                <html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">%s
                <title>%s · Umber Loom</title>
                <style>:root{color-scheme:light dark}
                body{font:16px/1.5 system-ui,sans-serif;max-width:34rem;margin:18vh auto 0;padding:0 1.5rem;
                color:light-dark(#3a2c22,#efe6da);background:light-dark(#f6f1e7,#221a14)}
                h1{font-size:1.5rem;line-height:1.25}a{color:inherit}</style>
                </head><body><main><h1>%s</h1><p>%s</p><p><a href="/library">To the library</a></p></main></body></html>
                """
                                        .formatted(
                                                again,
                                                HtmlUtils.htmlEscape(problem.getTitle()),
                                                HtmlUtils.htmlEscape(problem.getTitle()),
                                                HtmlUtils.htmlEscape(problem.getDetail())))
                                .getBytes(StandardCharsets.UTF_8));
    }
}
