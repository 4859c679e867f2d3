using MailKit.Net.Smtp;
using MailKit.Security;
using MimeKit;
using NodaTime;
using VerdantSieve.Store;
using VerdantSieve.Store.People;

namespace VerdantSieve.Web.People;

/// <summary>Sends letters.</summary>
public interface IPost
{
    /// <summary>Sends one.</summary>
    Task Send(string to, string subject, string text);
}

/// <summary>Lays letters into the outbox of this machine: the stand-in for a mail server.</summary>
public sealed class OutboxPost(SieveContext database, IClock clock) : IPost
{
    /// <inheritdoc/>
    public async Task Send(string to, string subject, string text)
    {
        database.Letters.Add(
            new LetterRow
            {
                To = to,
                Subject = subject,
                Text = text,
                At = clock.GetCurrentInstant().ToDateTimeOffset(),
            }
        );
        await database.SaveChangesAsync();
    }
}

/// <summary>Sends letters through the mail server that is set.</summary>
public sealed class MailPost(Uri server, string from) : IPost
{
    private const int UsualPort = 587;

    /// <inheritdoc/>
    public async Task Send(string to, string subject, string text)
    {
        var letter = new MimeMessage
        {
            Subject = subject,
            Body = new TextPart("plain") { Text = text },
        };
        letter.From.Add(MailboxAddress.Parse(from));
        letter.To.Add(MailboxAddress.Parse(to));
        using var client = new SmtpClient();
        var secured = server.Scheme == "smtps" ? SecureSocketOptions.SslOnConnect : SecureSocketOptions.StartTlsWhenAvailable;
        await client.ConnectAsync(server.Host, server.Port > 0 ? server.Port : UsualPort, secured);
        if (server.UserInfo.Split(':', 2) is [var name, var password])
            await client.AuthenticateAsync(Uri.UnescapeDataString(name), Uri.UnescapeDataString(password));
        await client.SendAsync(letter);
        await client.DisconnectAsync(quit: true);
    }
}
