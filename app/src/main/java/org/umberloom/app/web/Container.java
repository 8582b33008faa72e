package org.umberloom.app.web;

import java.io.IOException;
import java.io.Writer;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Configuration;

/** The servlet container: what it refuses before any filter, such as a broken address, is said in one plain line. */
@Configuration
class Container implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host)
                host.setErrorReportValveClass(OneLine.class.getName());
        });
    }

    /** Instead of the container's own page, which tells what it is. */
    public static final class OneLine extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable throwable) {
            if (response.getStatus() < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) return;
            try {
                response.setContentType("application/problem+json");
                response.setCharacterEncoding("utf-8");
                Writer writer = response.getReporter();
                if (writer == null) return;
                writer.write("{\"status\":" + response.getStatus()
                        + (response.getStatus() < 500
                                ? ",\"title\":\"Not understood\",\"detail\":\"The request could not be "
                                        + "understood. Nothing was changed.\"}"
                                : ",\"title\":\"Something went wrong here\",\"detail\":\"The request could "
                                        + "not be finished. Look at what is there before you do it again.\"}"));
                response.finishResponse();
            } catch (IOException gone) {
                // Nobody is left to be told.
            }
        }
    }
}
